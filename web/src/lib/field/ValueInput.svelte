<script lang="ts">
  import { colleaguesQuery } from '$lib/api/queries';
  import { choosable } from '$lib/session/choosable';
  import type { FilterField } from '$lib/api/types';
  import DayField from '$lib/ui/DayField.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { Input, Select } from 'flowbite-svelte';

  interface Props {
    field: Pick<FilterField, 'name' | 'label' | 'type' | 'choices'> & { retired?: string[] };
    /** As it is written; empty for none. */
    value: string;
    onchange: (value: string) => void;
    autofocus?: boolean;
  }

  let { field, value, onchange, autofocus = false }: Props = $props();

  const colleagues = createQuery(() => ({
    ...colleaguesQuery(),
    enabled: field.type === 'REFERENCE'
  }));
  const choices = $derived(
    field.type === 'CHOICE'
      ? field.choices
          .filter((c) => c === value || !field.retired?.includes(c))
          .map((c) => ({ value: c, name: c }))
      : field.type === 'FLAG'
        ? [
            { value: 'true', name: 'yes' },
            { value: 'false', name: 'no' }
          ]
        : field.type === 'REFERENCE'
          ? choosable(colleagues.data, (c) => c.login === value).map((c) => ({
              value: c.login,
              name: c.name
            }))
          : null
  );
  const kind = $derived(field.name === 'email' ? 'email' : 'text');
</script>

{#if choices}
  <Select
    aria-label={field.label}
    placeholder=""
    items={[{ value: '', name: '—' }, ...choices]}
    {value}
    onchange={(event) => onchange(event.currentTarget.value)}
  />
{:else if field.type === 'DAY'}
  <DayField label={field.label} {value} lean="BACK" first={autofocus} {onchange} />
{:else}
  <Input
    aria-label={field.label}
    type={kind}
    {value}
    autocomplete="off"
    data-autofocus={autofocus ? '' : undefined}
    placeholder={field.type === 'TAGS' ? 'a comma between several' : undefined}
    oninput={(event: Event) => onchange((event.target as HTMLInputElement).value)}
  />
{/if}
