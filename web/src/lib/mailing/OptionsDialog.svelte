<script lang="ts">
  import { choosable } from '$lib/session/choosable';
  import { topicItems } from '$lib/house/topics';
  import { colleaguesQuery, letterheadsQuery, topicsQuery } from '$lib/api/queries';
  import type { WholeMailing } from '$lib/api/types';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { Checkbox, Label, Select } from 'flowbite-svelte';
  import type { Writing } from '$lib/draft/writing.svelte';
  import { repliesTo, voices } from '$lib/draft/sending';

  interface Props {
    open: boolean;
    writing: Writing;
  }

  let { open = $bindable(), writing }: Props = $props();

  const letterheads = createQuery(() => ({ ...letterheadsQuery(), enabled: open }));
  const colleagues = createQuery(() => ({ ...colleaguesQuery(), enabled: open }));
  const topics = createQuery(() => ({ ...topicsQuery(), enabled: open }));

  const papers = $derived([
    { value: '', name: 'None: as if written by hand' },
    ...(letterheads.data ?? []).map((l) => ({ value: String(l.id), name: l.name }))
  ]);

  function setReplies(value: string) {
    writing.repliesTo = value as WholeMailing['repliesTo'];
    if (value === 'COLLEAGUE' && !writing.replyColleague) {
      writing.replyColleague = choosable(colleagues.data)[0]?.id ?? null;
    }
    writing.changed();
  }
</script>

<Ask bind:open title="How it is sent">
  <div class="grid grid-cols-2 gap-x-4 gap-y-3 max-sm:grid-cols-1">
    <div>
      <Label for="paper" class="mb-1">Letterhead</Label>
      <Select
        id="paper"
        placeholder=""
        items={papers}
        value={String(writing.letterheadId ?? '')}
        onchange={(e) =>
          writing.set('letterheadId', e.currentTarget.value ? Number(e.currentTarget.value) : null)}
      />
    </div>
    <div>
      <Label for="topic" class="mb-1">Topic, which readers can leave</Label>
      <Select
        id="topic"
        placeholder=""
        items={topicItems(topics.data, writing.topicId)}
        value={writing.topicId}
        onchange={(e) => writing.set('topicId', Number(e.currentTarget.value))}
      />
    </div>
    <div>
      <Label for="voice" class="mb-1">From</Label>
      <Select
        id="voice"
        placeholder=""
        items={voices}
        value={writing.voice}
        onchange={(e) => writing.set('voice', e.currentTarget.value as WholeMailing['voice'])}
      />
    </div>
    <div>
      <Label for="replies" class="mb-1">Replies go to</Label>
      <Select
        id="replies"
        placeholder=""
        items={repliesTo}
        value={writing.repliesTo}
        onchange={(e) => setReplies(e.currentTarget.value)}
      />
      {#if writing.repliesTo === 'COLLEAGUE'}
        <Select
          class="mt-1.5"
          placeholder=""
          aria-label="The colleague who gets the replies"
          items={choosable(colleagues.data, (c) => c.id === writing.replyColleague).map((c) => ({
            value: c.id,
            name: c.name
          }))}
          value={writing.replyColleague ?? 0}
          onchange={(e) => writing.set('replyColleague', Number(e.currentTarget.value))}
        />
      {/if}
    </div>
  </div>
  <div class="mt-4 flex flex-col gap-2">
    <Checkbox
      checked={writing.countOpens}
      onchange={(e) => writing.set('countOpens', e.currentTarget.checked)}>Count opens</Checkbox
    >
    <Checkbox
      checked={writing.countClicks}
      onchange={(e) => writing.set('countClicks', e.currentTarget.checked)}
      >Count followed links</Checkbox
    >
    <Checkbox
      checked={writing.promotional}
      onchange={(e) => writing.set('promotional', e.currentTarget.checked)}
      >Promotional: says how to leave the list, and who writes</Checkbox
    >
    <Checkbox
      checked={writing.private}
      onchange={(e) => writing.set('private', e.currentTarget.checked)}
      >Private: colleagues do not see this mailing</Checkbox
    >
    {#if writing.mailing.recordKind}
      <Checkbox
        checked={writing.recordEach}
        onchange={(e) => writing.set('recordEach', e.currentTarget.checked)}
        >One message for each of the {writing.mailing.records} records, not only about the newest</Checkbox
      >
    {/if}
  </div>
  {#snippet actions()}
    <HouseButton weight="main" onclick={() => (open = false)}>Done</HouseButton>
  {/snippet}
</Ask>
