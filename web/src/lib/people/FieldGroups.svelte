<script lang="ts">
  import type { ChangeTold, Person } from '$lib/api/types';
  import Panel from '$lib/ui/Panel.svelte';
  import { useQueryClient } from '@tanstack/svelte-query';
  import ClashDialog from './ClashDialog.svelte';
  import FieldRow from './FieldRow.svelte';
  import { groups } from './person';
  import { saveField } from './saving';

  interface Props {
    person: Person;
    mayChange: boolean;
  }

  let { person, mayChange }: Props = $props();

  const queries = useQueryClient();
  const grouped = $derived(new Set(groups.flatMap((g) => g.fields)));
  const own = $derived(
    person.fields.filter((f) => !grouped.has(f.name) && f.name !== 'introduced_by')
  );
  const all = $derived([
    ...groups.map((g) => ({
      title: g.title,
      fields: g.fields.flatMap((name) => person.fields.find((f) => f.name === name) ?? [])
    })),
    ...(own.length ? [{ title: 'Fields of this workspace', fields: own }] : [])
  ]);

  let clash = $state<{ told: ChangeTold; field: string; mine: string | null } | null>(null);
  const clashLabel = $derived(person.fields.find((f) => f.name === clash?.field)?.label ?? '');

  async function save(field: string, text: string | null, seen: number): Promise<string | null> {
    const saving = await saveField(queries, person, seen, field, text);
    if (saving && 'clash' in saving) {
      clash = { told: saving.clash, field, mine: text };
      await queries.invalidateQueries({ queryKey: ['person', person.id] });
      return null;
    }
    return saving ? saving.wrong : null;
  }

  /** Whoever has seen what the other wrote may put their own over it. */
  async function putMine() {
    if (!clash) return;
    const { field, mine, told } = clash;
    clash = null;
    await save(field, mine, told.id);
  }
</script>

{#each all as group (group.title)}
  <Panel title={group.title}>
    <dl class="px-3.5 pt-1 pb-3">
      {#each group.fields as field (field.name)}
        <FieldRow
          {field}
          version={person.version}
          {mayChange}
          onsave={(text, seen) => save(field.name, text, seen)}
        />
      {/each}
    </dl>
  </Panel>
{/each}
<ClashDialog
  clash={clash?.told ?? null}
  label={clashLabel}
  mine={clash?.mine ?? ''}
  onmine={putMine}
  ontheirs={() => (clash = null)}
/>
