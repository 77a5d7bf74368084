<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { SelectionBody } from '$lib/api/types';
  import { now } from '$lib/format/now';
  import { people } from '$lib/format/numbers';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import DayField from '$lib/ui/DayField.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { Input, Select } from 'flowbite-svelte';
  import OfficeChoice from './OfficeChoice.svelte';
  import { act } from './doing';
  import { holdingWords } from './standing';

  interface Props {
    open: boolean;
    who: SelectionBody;
    count: number;
  }

  let { open = $bindable(), who, count }: Props = $props();

  const queries = useQueryClient();
  let what = $state<'GIVE_OFFICE' | 'END_OFFICE'>('GIVE_OFFICE');
  let office = $state('');
  let body = $state('');
  let day = $state(now().toISOString().slice(0, 10));
  const gives = $derived(what === 'GIVE_OFFICE');
  const ready = $derived(office !== '' && day !== '');
  const held = createQuery(() => ({
    queryKey: ['office-of-many', office, day, who],
    queryFn: () => answer(api.POST('/api/people/holding', { body: { who, office, day } })),
    enabled: open && ready,
    gcTime: 0
  }));

  async function apply() {
    const wanted = gives
      ? { kind: what, office: { name: office, body: body || null, since: day } }
      : { kind: what, ending: { name: office, until: day } };
    if (await act(queries, who, wanted)) open = false;
  }
</script>

<Ask bind:open title={`An office of ${people(count)}`}>
  <form
    id="office-of-many"
    class="grid grid-cols-2 gap-3"
    onsubmit={(event) => {
      event.preventDefault();
      void apply();
    }}
  >
    <label class="flex flex-col gap-1">
      What is done
      <Select
        placeholder=""
        items={[
          { value: 'GIVE_OFFICE', name: 'They take it up' },
          { value: 'END_OFFICE', name: 'It ends for them' }
        ]}
        bind:value={what}
      />
    </label>
    <OfficeChoice {open} bind:value={office} />
    {#if gives}
      <label class="flex flex-col gap-1">
        Body it belongs to
        <Input bind:value={body} maxlength={80} placeholder="Committee" />
      </label>
    {/if}
    <div class="flex flex-col gap-1">
      {gives ? 'First day' : 'Last day'}
      <DayField
        label={gives ? 'First day' : 'Last day'}
        value={day}
        lean="BACK"
        onchange={(to) => (day = to)}
      />
    </div>
    <p class="col-span-2 text-[0.87rem] text-soft" role="status">
      {held.data && ready ? holdingWords(gives, held.data) : ''}
    </p>
  </form>
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (open = false)}>Not now</HouseButton>
    <HouseButton weight="main" type="submit" form="office-of-many" disabled={!ready}
      >{gives ? 'Give them the office' : 'End it for them'}</HouseButton
    >
  {/snippet}
</Ask>
