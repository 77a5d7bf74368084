<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { RetentionStanding } from '$lib/api/types';
  import { dayAndTime, dayAndYear } from '$lib/format/dates';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import Panel from '$lib/ui/Panel.svelte';
  import { Sending } from '$lib/ui/sending.svelte';
  import { untrack } from 'svelte';
  import { counted, parts, readMonths, type Months } from './retention';

  interface Props {
    /** As it stands; after a change the form begins anew. */
    standing: RetentionStanding;
    onchanged: () => void;
  }

  let { standing, onchanged }: Props = $props();
  const begun = untrack(() => standing.months);
  const written = (name: keyof Months) => begun[name]?.toString() ?? '';
  const texts = $state<Record<keyof Months, string>>({
    copies: written('copies'),
    responses: written('responses'),
    mails: written('mails'),
    archived: written('archived')
  });
  const sending = new Sending();
  const changed = $derived(parts.some(({ name }) => readMonths(texts[name]) !== begun[name]));

  const keep = (event: SubmitEvent) =>
    sending.send(event, async () => {
      await answer(
        api.PUT('/api/retention', {
          body: {
            version: begun.version,
            copies: readMonths(texts.copies),
            responses: readMonths(texts.responses),
            mails: readMonths(texts.mails),
            archived: readMonths(texts.archived)
          }
        })
      );
      notices.say('Kept so from now on; nothing goes before the night that is said here.');
      onchanged();
    });
</script>

<Panel title="How long it is kept">
  <form class="px-3.5 py-3" onsubmit={keep}>
    <p class="mb-3 text-soft">
      Months; empty is for good. Numbers of past mailings stay as they are.
    </p>
    {#each parts as { name, label, words } (name)}
      <label
        class="flex items-center gap-3 border-t border-line-soft py-2 first-of-type:border-t-0"
      >
        <span class="min-w-0 flex-1">
          {label}
          <span class="block text-[0.87rem] text-soft">{words}</span>
        </span>
        <input
          class="h-9 w-20 rounded-lg border-line bg-card px-2 py-0 text-right tabular-nums"
          type="text"
          inputmode="numeric"
          pattern="[0-9]*"
          maxlength={3}
          placeholder="for good"
          bind:value={texts[name]}
        />
      </label>
    {/each}
    {#if sending.of('months')}
      <p class="pt-1 text-brick" role="alert">{sending.of('months')}</p>
    {/if}
    <div class="pt-2 text-right">
      <HouseButton type="submit" weight="main" disabled={!changed || sending.busy}>Save</HouseButton
      >
    </div>
  </form>
  <div class="border-t border-line-soft px-3.5 py-3">
    {#if standing.goesAt}
      <p class="font-semibold">Goes on {dayAndTime(standing.goesAt, session.zone)}</p>
      <ul class="mt-1">
        {#each standing.next as { kept, count, before } (kept)}
          <li>
            {counted(kept, count)}
            <span class="text-soft">from before {dayAndYear(before, session.zone)}</span>
          </li>
        {/each}
      </ul>
    {:else}
      <p class="text-soft">Nothing goes by itself: all of it is kept for good.</p>
    {/if}
  </div>
</Panel>
