<script lang="ts">
  import { pathOf, upload } from './pictures';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';

  interface Props {
    logoKey: string | null;
    words?: string;
  }

  let { logoKey = $bindable(), words = 'Logo' }: Props = $props();
  let busy = $state(false);
  let chooser: HTMLInputElement;

  async function choose(input: HTMLInputElement) {
    const file = input.files?.[0];
    if (!file) return;
    busy = true;
    try {
      logoKey = (await upload(file)).key;
    } catch (error) {
      notices.fail(error);
    } finally {
      busy = false;
      input.value = '';
    }
  }
</script>

<div class="flex flex-wrap items-center gap-3">
  <span class="text-soft">{words}</span>
  {#if logoKey}
    <img src={pathOf(logoKey)} alt="" class="max-h-12 rounded border border-line" />
    <button type="button" class="text-brick hover:underline" onclick={() => (logoKey = null)}
      >remove</button
    >
  {/if}
  <input
    bind:this={chooser}
    type="file"
    accept="image/png,image/jpeg,image/gif"
    aria-label={`${words}: choose a file`}
    class="hidden"
    disabled={busy}
    onchange={(e) => choose(e.currentTarget)}
  />
  <HouseButton weight="quiet" disabled={busy} onclick={() => chooser.click()}>
    {busy ? 'Bringing it in…' : logoKey ? 'Choose another' : 'Choose a picture'}
  </HouseButton>
</div>
