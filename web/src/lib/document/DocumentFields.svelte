<script lang="ts">
  import { fieldsQuery } from '$lib/api/queries';
  import type { DocumentDraft, HouseDocument } from '$lib/api/types';
  import { createQuery } from '@tanstack/svelte-query';
  import { Input, Select } from 'flowbite-svelte';
  import { standIns } from './documents';

  interface Props {
    document: HouseDocument;
    matches: DocumentDraft['matches'];
    readonly: boolean;
    onchange: (matches: DocumentDraft['matches']) => void;
  }

  let { document, matches, readonly, onchange }: Props = $props();
  const fields = createQuery(fieldsQuery);
  const offered = $derived([
    { value: '', name: 'nothing yet' },
    ...standIns(fields.data?.merge ?? [])
  ]);
  const of = (name: string) => matches[name] ?? { field: '', otherwise: '' };
  const set = (name: string, change: { field?: string; otherwise?: string }) =>
    onchange({ ...matches, [name]: { ...of(name), ...change } });
</script>

{#if document.fields.length === 0}
  <p class="p-4 text-soft">It has no merge fields: all get the same letter.</p>
{:else}
  <table class="w-full text-[0.95rem]">
    <thead>
      <tr class="text-left text-[0.8rem] text-soft">
        <th scope="col" class="px-3.5 py-1.5 font-semibold">Field of the document</th>
        <th scope="col" class="font-semibold">Shows</th>
        <th scope="col" class="ps-3 pe-3.5 font-semibold">Otherwise</th>
      </tr>
    </thead>
    <tbody>
      {#each document.fields as { name } (name)}
        {@const match = of(name)}
        <tr class="border-t border-line-soft">
          <th scope="row" class="max-w-48 px-3.5 py-1.5 text-left font-semibold break-words"
            >{name}</th
          >
          <td class="py-1">
            <Select
              size="sm"
              aria-label={`${name} shows`}
              placeholder=""
              disabled={readonly}
              classes={{ select: match.field ? '' : 'text-brick dark:text-brick' }}
              items={offered}
              value={match.field}
              onchange={(e) => set(name, { field: e.currentTarget.value })}
            />
          </td>
          <td class="py-1 ps-3 pe-3.5">
            <Input
              size="sm"
              aria-label={`${name} otherwise`}
              placeholder="when nothing is known"
              {readonly}
              maxlength={500}
              value={match.otherwise}
              oninput={(e) => set(name, { otherwise: (e.currentTarget as HTMLInputElement).value })}
            />
          </td>
        </tr>
      {/each}
    </tbody>
  </table>
{/if}
