<script lang="ts">
  import { allSeriesQuery, colleaguesQuery } from '$lib/api/queries';
  import { choosable } from '$lib/session/choosable';
  import type { SignUpPageBody } from '$lib/api/types';
  import { createQuery } from '@tanstack/svelte-query';
  import { Input, Select } from 'flowbite-svelte';

  interface Props {
    page: SignUpPageBody;
  }

  let { page = $bindable() }: Props = $props();

  const series = createQuery(allSeriesQuery);
  const colleagues = createQuery(colleaguesQuery);
  const KINDS = [
    { value: 'contact', name: 'a contact' },
    { value: 'lead', name: 'a lead' },
    { value: 'member', name: 'a member' }
  ];
  const people = $derived([
    { value: 0, name: 'nobody' },
    ...choosable(colleagues.data, (c) => c.id === page.owner).map((c) => ({
      value: c.id,
      name: c.name
    }))
  ]);
  const serieses = $derived([
    { value: 0, name: 'none' },
    ...(series.data ?? [])
      .filter((s) => s.state !== 'ENDED' || s.id === page.series)
      .map((s) => ({ value: s.id, name: s.name }))
  ]);
</script>

<div class="grid grid-cols-2 gap-x-4 gap-y-2.5 max-md:grid-cols-1">
  <label class="flex flex-col gap-1">
    Who is new becomes
    <Select placeholder="" items={KINDS} bind:value={page.kind} />
  </label>
  <label class="flex flex-col gap-1">
    Looked after by
    <Select
      placeholder=""
      items={people}
      bind:value={() => page.owner ?? 0, (id) => (page.owner = id || null)}
    />
  </label>
  <label class="flex flex-col gap-1">
    Source on record
    <Input
      maxlength={200}
      placeholder={page.name || 'the name of the page'}
      bind:value={() => page.source ?? '', (text) => (page.source = text || null)}
    />
  </label>
  <label class="flex flex-col gap-1">
    Tag
    <Input
      maxlength={60}
      placeholder="none"
      bind:value={() => page.tag ?? '', (text) => (page.tag = text || null)}
    />
  </label>
  <label class="flex flex-col gap-1">
    Enters the series
    <Select
      placeholder=""
      items={serieses}
      bind:value={() => page.series ?? 0, (id) => (page.series = id || null)}
    />
  </label>
  <label class="flex flex-col gap-1">
    Told by mail of each
    <Select
      placeholder=""
      items={people}
      bind:value={() => page.tell ?? 0, (id) => (page.tell = id || null)}
    />
  </label>
</div>
