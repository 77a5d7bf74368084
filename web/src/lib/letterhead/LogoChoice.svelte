<script lang="ts">
  import { pathOf, upload } from '$lib/template/pictures';
  import { notices } from '$lib/ui/notices.svelte';

  interface Props {
    logoKey: string | null;
    words?: string;
  }

  let { logoKey = $bindable(), words = 'Logo' }: Props = $props();
  let busy = $state(false);

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
      >take off</button
    >
  {/if}
  <input
    type="file"
    accept="image/png,image/jpeg,image/gif"
    aria-label={`${words}: choose a picture`}
    class="min-w-0 flex-1 text-[0.9rem]"
    disabled={busy}
    onchange={(e) => choose(e.currentTarget)}
  />
</div>
