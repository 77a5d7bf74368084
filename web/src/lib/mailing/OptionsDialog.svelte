<script lang="ts">
  import { colleaguesQuery, letterheadsQuery } from '$lib/api/queries';
  import type { Bench, Topic } from '$lib/api/types';
  import Act from '$lib/ui/Act.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { Checkbox, Label, Select } from 'flowbite-svelte';
  import type { Writing } from '$lib/draft/writing.svelte';
  import { repliesTo, voices } from '$lib/draft/sending';

  interface Props {
    open: boolean;
    bench: Writing;
    topics: Topic[];
  }

  let { open = $bindable(), bench, topics }: Props = $props();

  const letterheads = createQuery(() => ({ ...letterheadsQuery(), enabled: open }));
  const colleagues = createQuery(() => ({ ...colleaguesQuery(), enabled: open }));

  const papers = $derived([
    { value: '', name: 'None: as if written by hand' },
    ...(letterheads.data ?? []).map((l) => ({ value: String(l.id), name: l.name }))
  ]);

  function setReplies(value: string) {
    bench.repliesTo = value as Bench['repliesTo'];
    if (value === 'COLLEAGUE' && !bench.replyColleague) {
      bench.replyColleague = colleagues.data?.[0]?.id ?? null;
    }
    bench.changed();
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
        value={String(bench.letterheadId ?? '')}
        onchange={(e) =>
          bench.set('letterheadId', e.currentTarget.value ? Number(e.currentTarget.value) : null)}
      />
    </div>
    <div>
      <Label for="topic" class="mb-1">Topic, which readers can leave</Label>
      <Select
        id="topic"
        placeholder=""
        items={topics.map((t) => ({ value: t.id, name: t.name }))}
        value={bench.topicId}
        onchange={(e) => bench.set('topicId', Number(e.currentTarget.value))}
      />
    </div>
    <div>
      <Label for="voice" class="mb-1">From</Label>
      <Select
        id="voice"
        placeholder=""
        items={voices}
        value={bench.voice}
        onchange={(e) => bench.set('voice', e.currentTarget.value as Bench['voice'])}
      />
    </div>
    <div>
      <Label for="replies" class="mb-1">Replies go to</Label>
      <Select
        id="replies"
        placeholder=""
        items={repliesTo}
        value={bench.repliesTo}
        onchange={(e) => setReplies(e.currentTarget.value)}
      />
      {#if bench.repliesTo === 'COLLEAGUE'}
        <Select
          class="mt-1.5"
          placeholder=""
          aria-label="The colleague who gets the replies"
          items={(colleagues.data ?? []).map((c) => ({ value: c.id, name: c.name }))}
          value={bench.replyColleague ?? 0}
          onchange={(e) => bench.set('replyColleague', Number(e.currentTarget.value))}
        />
      {/if}
    </div>
  </div>
  <div class="mt-4 flex flex-col gap-2">
    <Checkbox
      checked={bench.countOpens}
      onchange={(e) => bench.set('countOpens', e.currentTarget.checked)}>Count opens</Checkbox
    >
    <Checkbox
      checked={bench.countClicks}
      onchange={(e) => bench.set('countClicks', e.currentTarget.checked)}
      >Count followed links</Checkbox
    >
    <Checkbox
      checked={bench.promotional}
      onchange={(e) => bench.set('promotional', e.currentTarget.checked)}
      >Promotional: says how to leave the list, and who writes</Checkbox
    >
    <Checkbox
      checked={bench.private}
      onchange={(e) => bench.set('private', e.currentTarget.checked)}
      >Private: colleagues do not see this mailing</Checkbox
    >
    {#if bench.mailing.recordKind}
      <Checkbox
        checked={bench.recordEach}
        onchange={(e) => bench.set('recordEach', e.currentTarget.checked)}
        >One message for each of the {bench.mailing.records} records, not only about the newest</Checkbox
      >
    {/if}
  </div>
  {#snippet actions()}
    <Act look="main" onclick={() => (open = false)}>Done</Act>
  {/snippet}
</Ask>
