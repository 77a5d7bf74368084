<script lang="ts">
  import { send } from '$lib/api/client';
  import { count } from '$lib/format/numbers';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { useQueryClient } from '@tanstack/svelte-query';
  import { broughtInWords, type BroughtIn } from './broughtIn';

  const queries = useQueryClient();
  let chooser: HTMLInputElement;
  let busy = $state(false);

  async function bringIn(file: File | undefined) {
    if (!file) return;
    busy = true;
    try {
      const type = 'application/octet-stream';
      const response = await send('/api/do-not-write/import', type, file);
      const result = (await response.json()) as BroughtIn;
      void queries.invalidateQueries();
      notices.say(broughtInWords(result, count));
    } catch (error) {
      notices.fail(error);
    } finally {
      busy = false;
      chooser.value = '';
    }
  }
</script>

<input
  bind:this={chooser}
  type="file"
  class="hidden"
  accept=".csv,.txt,text/csv,text/plain"
  aria-label="A file of addresses"
  onchange={(event) => bringIn(event.currentTarget.files?.[0])}
/>
<HouseButton disabled={busy} onclick={() => chooser.click()}
  >{busy ? 'Reading…' : 'Bring in a file'}</HouseButton
>
