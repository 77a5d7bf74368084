<script lang="ts">
  import { colleaguesQuery, mailingsQuery } from '$lib/api/queries';
  import type { FilterField } from '$lib/api/types';
  import { createQuery } from '@tanstack/svelte-query';
  import { Checkbox } from 'flowbite-svelte';
  import { toggled } from './draft';

  interface Props {
    /** A field that names colleagues or mailings. */
    field: FilterField;
    values: string[];
    onchange: (values: string[]) => void;
  }

  let { field, values, onchange }: Props = $props();

  const isMailing = $derived(field.name === 'mailing');
  const colleagues = createQuery(() => ({ ...colleaguesQuery(), enabled: !isMailing }));
  const mailings = createQuery(() => ({ ...mailingsQuery(), enabled: isMailing }));
  const choices = $derived(
    isMailing
      ? (mailings.data ?? [])
          .filter((m) => m.state !== 'DRAFT')
          .map((m) => ({ key: String(m.id), name: m.name }))
      : (colleagues.data ?? []).map((c) => ({ key: c.login, name: c.name }))
  );
</script>

<fieldset class="flex max-h-64 flex-col gap-1.5 overflow-y-auto pe-2">
  <legend class="sr-only">{field.label}</legend>
  {#each choices as choice (choice.key)}
    <Checkbox
      checked={values.includes(choice.key)}
      onchange={() => onchange(toggled(values, choice.key))}>{choice.name}</Checkbox
    >
  {:else}
    <p class="text-soft">
      {isMailing && mailings.isSuccess ? 'No mailing has gone out yet.' : 'Looking…'}
    </p>
  {/each}
</fieldset>
