<script lang="ts">
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { Sending } from '$lib/ui/sending.svelte';

  interface Props {
    words: string;
    onadd: (name: string) => Promise<void>;
  }

  let { words, onadd }: Props = $props();
  const sending = new Sending();
  let name = $state('');

  const add = (event: SubmitEvent) =>
    sending.send(event, async () => {
      await onadd(name);
      name = '';
    });
</script>

<form class="mt-2 flex flex-wrap items-center gap-2" onsubmit={add}>
  <input
    type="text"
    class="min-w-0 flex-1 rounded-md border-line bg-card px-2 py-1 placeholder:text-soft"
    aria-label={words}
    placeholder={words}
    bind:value={name}
    required
    maxlength={60}
  />
  <HouseButton type="submit" disabled={sending.busy}>Add</HouseButton>
  {#if sending.of('name')}
    <span class="basis-full text-brick" role="alert">{sending.of('name')}</span>
  {/if}
</form>
