<script lang="ts">
  import type { WaysBody } from '$lib/api/types';
  import Gaps from '$lib/letter/Gaps.svelte';
  import { createPreview } from '$lib/letter/preview.svelte';
  import { linkHost } from './notice';

  interface Props {
    /** The ways and what is said on each; the mail is not looked at. */
    ways: WaysBody;
  }

  let { ways }: Props = $props();
  const query = createPreview(() => ({
    subject: '',
    body: '',
    letterheadId: null,
    letterhead: null,
    promotional: false,
    beside: ways,
    personId: null
  }));
  const seen = $derived(query.data);
  const bubble = 'mt-1 rounded-lg bg-shade px-3 py-2 break-words';
</script>

{#if seen}
  <div class="text-[0.93rem]" aria-live="polite" data-read-by-phone>
    {#each seen.errors as error (error)}<p class="text-brick">{error}</p>{/each}
    <Gaps missing={seen.missing} later={seen.later} />
    {#if ways.ways?.includes('TEXT') && seen.phone}
      <p class="text-[0.87rem] text-soft">As {seen.personName} would read it by text</p>
      <p class={`${bubble} whitespace-pre-wrap`}>{seen.phone}</p>
    {/if}
    {#if seen.notice && (seen.notice.title || seen.notice.words)}
      <p class="mt-2 text-[0.87rem] text-soft">As {seen.personName} would see it in the app</p>
      <div class={bubble}>
        <p class="font-semibold">{seen.notice.title}</p>
        <p class="whitespace-pre-wrap">{seen.notice.words}</p>
        {#if seen.notice.link}<p class="text-kelp">{linkHost(seen.notice.link)}</p>{/if}
      </div>
    {/if}
  </div>
{/if}
