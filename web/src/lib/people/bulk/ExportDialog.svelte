<script lang="ts">
  import { send } from '$lib/api/client';
  import type { Layout, SelectionBody } from '$lib/api/types';
  import { people } from '$lib/format/numbers';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { Radio } from 'flowbite-svelte';

  interface Props {
    open: boolean;
    who: SelectionBody;
    count: number;
    layout: Layout;
  }

  let { open = $bindable(), who, count, layout }: Props = $props();

  let form = $state<'CSV' | 'VCARD_4' | 'VCARD_3'>('CSV');
  let busy = $state(false);

  async function save() {
    busy = true;
    try {
      const { columns, sortBy, descending } = layout;
      const wish = JSON.stringify({ who, form, columns, sortBy, descending });
      const response = await send('/api/people/export', 'application/json', wish);
      download(await response.blob(), form === 'CSV' ? 'people.csv' : 'people.vcf');
      open = false;
    } catch (error) {
      notices.fail(error);
    } finally {
      busy = false;
    }
  }

  function download(file: Blob, name: string) {
    const link = document.createElement('a');
    link.href = URL.createObjectURL(file);
    link.download = name;
    link.click();
    URL.revokeObjectURL(link.href);
  }
</script>

<Ask bind:open title={`Export ${people(count)}`}>
  <fieldset class="flex flex-col gap-2">
    <legend class="sr-only">As which kind of file</legend>
    <Radio bind:group={form} value="CSV"
      >CSV: the columns that are shown, in the order of the list</Radio
    >
    <Radio bind:group={form} value="VCARD_4">vCard 4.0: a card each, for address books</Radio>
    <Radio bind:group={form} value="VCARD_3">vCard 3.0: for older address books</Radio>
  </fieldset>
  <p class="mt-3 text-[0.87rem] text-soft">The export is noted in the history, with its number.</p>
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (open = false)}>Not now</HouseButton>
    <HouseButton weight="main" onclick={save} disabled={busy}
      >{busy ? 'Writing the file…' : 'Save the file'}</HouseButton
    >
  {/snippet}
</Ask>
