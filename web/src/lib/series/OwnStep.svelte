<script lang="ts">
  import { instead } from '$lib/api/instead';
  import { answer, api } from '$lib/api/client';
  import { Typed } from '$lib/draft/typed.svelte';
  import TypedBefore from '$lib/draft/TypedBefore.svelte';
  import WordsFields from '$lib/wording/WordsFields.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import type { Channel } from '$lib/ways/ways';
  import { createQuery } from '@tanstack/svelte-query';

  interface Words {
    subject: string;
    body: string;
  }

  interface Props {
    open: boolean;
    /** The cause of the step. */
    cause: number;
    person: { id: number; name: string };
    /** The way that reaches them, and what all others read there. */
    channel: Channel;
    shared: Words;
    onsaved: () => void;
  }

  let { open = $bindable(), cause, person, channel, shared, onsaved }: Props = $props();

  const own = createQuery(() => ({
    queryKey: ['own-words', cause, person.id, channel],
    queryFn: async () => {
      const params = { path: { id: cause } };
      const all = await answer(api.GET('/api/mailings/{id}/own-words', { params }));
      return all.find((words) => words.personId === person.id && words.channel === channel) ?? null;
    },
    gcTime: 0,
    refetchOnWindowFocus: false
  }));
  // svelte-ignore state_referenced_locally
  const typed = new Typed<Partial<Words>>(`own-step.${cause}.${person.id}.${channel}`, {});
  $effect(() => typed.keep());
  const words = $derived<Words>({
    subject: typed.value.subject ?? own.data?.subject ?? shared.subject,
    body: typed.value.body ?? own.data?.body ?? shared.body
  });

  async function save(wanted: Words) {
    const params = { path: { id: cause, personId: person.id } };
    const body = { ...wanted, channel, version: own.data?.version ?? 0 };
    try {
      await answer(api.PUT('/api/mailings/{id}/own-words/{personId}', { params, body }));
      typed.saved({});
      open = false;
      onsaved();
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

<Ask bind:open title={`For ${person.name} only`} wide>
  {#if instead(own)}
    <Trouble error={own.error} onretry={() => own.refetch()} />
  {:else if own.data !== undefined}
    <div class="flex flex-col gap-3">
      <TypedBefore is={typed.fromBefore} onforget={() => typed.anew()} />
      <WordsFields
        {channel}
        subject={words.subject}
        body={words.body}
        onsubject={(subject) => (typed.value.subject = subject)}
        onbody={(body) => (typed.value.body = body)}
      />
    </div>
  {/if}
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (open = false)}>Not now</HouseButton>
    {#if own.data}
      <HouseButton onclick={() => void save(shared)}>Back to the shared text</HouseButton>
    {/if}
    <HouseButton
      weight="main"
      disabled={own.data === undefined}
      onclick={() => void save({ ...words })}>Save for {person.name.split(' ')[0]} only</HouseButton
    >
  {/snippet}
</Ask>
