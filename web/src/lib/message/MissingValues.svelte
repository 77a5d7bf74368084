<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { fieldsQuery } from '$lib/api/queries';
  import { fieldWords } from '$lib/format/fields';
  import { saveField } from '$lib/people/saving';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';

  interface Props {
    personId: number;
    name: string;
    /** Fields that have no value and nothing in its stead. */
    missing: string[];
    editable: boolean;
    onmended: () => void;
  }

  let { personId, name, missing, editable, onmended }: Props = $props();
  const queries = useQueryClient();
  const fields = createQuery(fieldsQuery);
  let filling = $state<string | null>(null);
  let text = $state('');
  let wrong = $state('');

  const canFill = (field: string) =>
    fields.data?.filter.some((f) => f.name === field && f.editable) ?? false;

  /** Puts the value on record, for this mailing and every later one. */
  async function fill(event: SubmitEvent) {
    event.preventDefault();
    if (!filling || !text.trim()) return;
    const params = { path: { id: personId } };
    const person = await answer(api.GET('/api/people/{id}', { params }));
    const came = await saveField(queries, person, person.version, filling, text.trim());
    wrong = came && 'wrong' in came ? came.wrong : came ? 'Somebody else changed it just now.' : '';
    if (came) return;
    filling = null;
    onmended();
  }

  function focusFirst(node: HTMLElement) {
    node.querySelector('input')?.focus();
  }
</script>

<div class="mb-2 rounded-md bg-ochre-pale px-2.5 py-1 text-[0.87rem]">
  <p class="text-ochre">
    Not known, and nothing stands in for it:
    {#each missing as field, i (field)}{i ? ', ' : ' '}{#if editable && canFill(field)}<button
          type="button"
          class="font-semibold underline"
          onclick={() => ((filling = field), (text = ''), (wrong = ''))}>{fieldWords(field)}</button
        >{:else}{fieldWords(field)}{/if}{/each}.
  </p>
  {#if filling}
    <form class="mt-1 flex flex-wrap items-center gap-2" onsubmit={fill} {@attach focusFirst}>
      <input
        class="w-44 rounded-md border-line bg-card px-2 py-0.5"
        aria-label={`${fieldWords(filling)} of ${name}`}
        placeholder={fieldWords(filling)}
        bind:value={text}
        onkeydown={(e) => e.key === 'Escape' && (filling = null)}
      />
      <button type="submit" class="font-semibold text-kelp hover:underline">Put on record</button>
    </form>
    {#if wrong}<p class="text-brick" role="alert">{wrong}</p>{/if}
  {/if}
</div>
