<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { fieldsQuery } from '$lib/api/queries';
  import LateEditor from '$lib/editor/LateEditor.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
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
    shared: Words;
    onsaved: () => void;
  }

  let { open = $bindable(), cause, person, shared, onsaved }: Props = $props();

  const fields = createQuery(fieldsQuery);
  const own = createQuery(() => ({
    queryKey: ['own-words', cause, person.id],
    queryFn: async () => {
      const params = { path: { id: cause } };
      const all = await answer(api.GET('/api/mailings/{id}/own-words', { params }));
      return all.find((words) => words.personId === person.id) ?? null;
    },
    gcTime: 0,
    refetchOnWindowFocus: false
  }));
  /** What was typed; nothing until something is. */
  let typed = $state<Partial<Words>>({});
  const words = $derived<Words>({
    subject: typed.subject ?? own.data?.subject ?? shared.subject,
    body: typed.body ?? own.data?.body ?? shared.body
  });

  async function save(wanted: Words) {
    const params = { path: { id: cause, personId: person.id } };
    const body = { ...wanted, version: own.data?.version ?? 0 };
    try {
      await answer(api.PUT('/api/mailings/{id}/own-words/{personId}', { params, body }));
      open = false;
      onsaved();
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

<Ask bind:open title={`For ${person.name} only`} wide>
  {#if own.error}
    <Trouble error={own.error} onretry={() => own.refetch()} />
  {:else if fields.data && own.isSuccess}
    <div class="flex flex-col gap-3">
      <div class="flex items-baseline gap-2 border-b border-line pb-1">
        <span class="text-soft">Subject</span>
        <div class="min-w-0 flex-1 font-semibold">
          <LateEditor
            value={words.subject}
            fields={fields.data.merge}
            label="Subject"
            singleLine
            onchange={(subject) => (typed.subject = subject)}
          />
        </div>
      </div>
      <div class="flex h-72 flex-col rounded-lg border border-line">
        <LateEditor
          value={words.body}
          fields={fields.data.merge}
          label="Message"
          onchange={(body) => (typed.body = body)}
        />
      </div>
    </div>
  {/if}
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (open = false)}>Not now</HouseButton>
    {#if own.data}
      <HouseButton onclick={() => void save(shared)}>Back to the shared text</HouseButton>
    {/if}
    <HouseButton weight="main" disabled={!own.isSuccess} onclick={() => void save({ ...words })}
      >Save for {person.name.split(' ')[0]} only</HouseButton
    >
  {/snippet}
</Ask>
