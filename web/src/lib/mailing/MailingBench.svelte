<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { fieldsQuery, topicsQuery } from '$lib/api/queries';
  import type { AudiencePerson, Bench } from '$lib/api/types';
  import { count } from '$lib/format/numbers';
  import { keys } from '$lib/keys/keys.svelte';
  import { session } from '$lib/session/session.svelte';
  import Act from '$lib/ui/Act.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import Tally from '$lib/ui/Tally.svelte';
  import {
    createInfiniteQuery,
    createQuery,
    keepPreviousData,
    useQueryClient
  } from '@tanstack/svelte-query';
  import { onMount } from 'svelte';
  import { BenchActs } from './acts.svelte';
  import { BenchState } from './bench.svelte';
  import { lookParts, whichOf, type Which } from './lookParts';
  import MessagePane from './MessagePane.svelte';
  import ProofPane from './ProofPane.svelte';
  import ReleaseDialog from './ReleaseDialog.svelte';
  import RunSheet from './RunSheet.svelte';
  import UnderWay from './UnderWay.svelte';
  import WhoPane from './WhoPane.svelte';

  interface Props {
    mailing: Bench;
  }

  let { mailing }: Props = $props();

  const queries = useQueryClient();
  // The bench begins with what the server has and then saves what is changed here.
  // svelte-ignore state_referenced_locally
  const bench = new BenchState(mailing);
  const id = $derived(bench.mailing.id);
  const acts = new BenchActs(bench, queries);
  const editable = $derived(bench.isDraft && (session.colleague?.mayWrite ?? false));
  let which = $state.raw<Which | null>(null);
  let name = $state('');
  let chosen = $state<number | null>(null);
  let releasing = $state(false);

  const fields = createQuery(fieldsQuery);
  const topics = createQuery(topicsQuery);
  const path = $derived({ path: { id } });
  const look = createQuery(() => ({
    queryKey: ['look', id, bench.revision],
    queryFn: ({ signal }) => answer(api.GET('/api/mailings/{id}/look', { params: path, signal })),
    placeholderData: keepPreviousData
  }));
  const audience = createInfiniteQuery(() => ({
    queryKey: ['audience', id, bench.revision, which, name.trim()],
    queryFn: ({ pageParam, signal }) => {
      const query = {
        part: which?.part,
        reach: which?.reach,
        finding: which?.finding,
        about: which?.about,
        name: name.trim() || undefined,
        after: pageParam
      };
      return answer(api.GET('/api/mailings/{id}/audience', { params: { ...path, query }, signal }));
    },
    initialPageParam: undefined as number | undefined,
    getNextPageParam: (last: AudiencePerson[]) => (last.length === 500 ? last[499]?.id : undefined),
    placeholderData: keepPreviousData
  }));
  const list = $derived(audience.data?.pages.flat() ?? []);
  const current = $derived(chosen ?? list[0]?.id ?? null);
  const proof = createQuery(() => ({
    queryKey: ['proof', id, bench.revision, current],
    queryFn: ({ signal }) =>
      answer(
        api.GET('/api/mailings/{id}/proofs/{personId}', {
          params: { path: { id, personId: current ?? 0 } },
          signal
        })
      ),
    enabled: current !== null,
    placeholderData: keepPreviousData
  }));
  const place = $derived(list.findIndex((p) => p.id === current) + 1);
  const shownOf = $derived(which || name ? list.length : (look.data?.total ?? list.length));

  function show(wanted: Which | null) {
    which = wanted;
    chosen = null;
  }

  function step(by: number) {
    const next = list[Math.max(0, Math.min(list.length - 1, place - 1 + by))];
    if (!next) return;
    chosen = next.id;
    document.getElementById(`who-${next.id}`)?.scrollIntoView({ block: 'nearest' });
    if (place > list.length - 20 && audience.hasNextPage) void audience.fetchNextPage();
  }

  function leaveOut(person: AudiencePerson) {
    bench.leftOut = [...bench.leftOut, person.id];
    bench.changed();
    notices.say(`${person.name} is left out.`, () => takeIn(person));
  }

  function takeIn(person: AudiencePerson) {
    bench.leftOut = bench.leftOut.filter((p) => p !== person.id);
    bench.changed();
  }

  function copy() {
    if (current !== null) void acts.sendCopy(current, proof.data?.toName ?? '');
  }

  async function release() {
    await acts.release();
    releasing = false;
  }

  async function openRelease() {
    if (!editable) return;
    await bench.save();
    await look.refetch();
    releasing = bench.saving !== 'failed';
  }

  onMount(() =>
    keys.use({
      j: () => step(1),
      k: () => step(-1),
      c: () => editable && copy(),
      r: () => void openRelease()
    })
  );
</script>

<svelte:head><title>{bench.name} · Jemble</title></svelte:head>
<svelte:window
  onbeforeunload={(event) => {
    if (bench.saving !== 'saved') event.preventDefault();
  }}
/>

<div class="flex flex-wrap items-center gap-x-4 gap-y-2">
  <input
    class="[field-sizing:content] max-w-[26rem] min-w-40 flex-initial rounded-md border-transparent bg-transparent px-1 py-0.5 font-heading text-[1.4rem] font-bold hover:border-line focus:border-kelp-mid"
    aria-label="Name of the mailing"
    readonly={!editable}
    bind:value={bench.name}
    oninput={() => bench.changed()}
  />
  <div class="min-w-0 flex-[1_1_20rem]">
    {#if look.data}
      <Tally
        label="The audience"
        parts={lookParts(look.data)}
        chosen={which?.part ?? which?.reach ?? null}
        onchoose={(key) => show(look.data ? whichOf(key, look.data) : null)}
      />
    {/if}
  </div>
  {#if editable}
    <Act onclick={copy} disabled={acts.busy || current === null} shortcut="c">Send me a copy</Act>
    <Act look="main" onclick={openRelease} disabled={acts.busy} shortcut="r">
      Release {count(look.data?.ready ?? 0)}…
    </Act>
  {/if}
</div>
{#if bench.trouble}
  <p class="rounded-lg bg-brick-pale px-3.5 py-2" role="alert">
    {bench.trouble}
    <button type="button" class="ms-2 font-semibold text-brick" onclick={() => acts.reload()}>
      Load what is there now
    </button>
  </p>
{/if}
<div
  class="grid min-h-0 flex-1 grid-cols-[minmax(0,262fr)_minmax(0,566fr)_minmax(0,388fr)] gap-3 max-lg:flex-none max-lg:grid-cols-1"
>
  <WhoPane
    words={bench.mailing.audienceWords}
    total={look.data?.total ?? 0}
    {list}
    {which}
    {current}
    {editable}
    {name}
    onname={(n) => ((name = n), (chosen = null))}
    onchoose={(p) => (chosen = p)}
    onall={() => show(null)}
    onleaveout={leaveOut}
    ontakein={takeIn}
    onend={() => audience.hasNextPage && !audience.isFetching && audience.fetchNextPage()}
  />
  {#if fields.data}
    <MessagePane {bench} fields={fields.data.merge} look={look.data} {editable} onshow={show} />
  {/if}
  <ProofPane proof={proof.data} error={proof.error} {place} of={shownOf} onstep={step} />
</div>
{#if bench.isDraft}
  <RunSheet
    {bench}
    look={look.data}
    topics={topics.data ?? []}
    {editable}
    ondiscard={() => acts.discard()}
  />
{:else}
  <UnderWay
    mailing={bench.mailing}
    busy={acts.busy}
    ontakeback={() => acts.takeBack()}
    onwithdraw={() => acts.withdraw()}
  />
{/if}
{#if look.data}
  <ReleaseDialog
    bind:open={releasing}
    look={look.data}
    startWall={bench.startWall}
    busy={acts.busy}
    onrelease={release}
  />
{/if}
