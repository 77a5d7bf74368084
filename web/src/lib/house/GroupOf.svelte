<script lang="ts">
  interface Props {
    office: string;
    /** Empty for none. */
    group: string;
    /** Those that there are, to choose from. */
    groups: string[];
    mayChange: boolean;
    onchange: (group: string) => void;
  }

  let { office, group, groups, mayChange, onchange }: Props = $props();
  const id = $props.id();

  function escape(event: KeyboardEvent & { currentTarget: HTMLInputElement }) {
    if (event.key !== 'Escape') return;
    event.stopPropagation();
    event.currentTarget.value = group;
  }
</script>

{#if mayChange}
  <input
    type="text"
    class="min-h-6 w-40 rounded-md border-line bg-card px-2 py-0.5 text-[0.9rem] placeholder:text-soft"
    aria-label={`Group of ${office}`}
    placeholder="no group"
    maxlength={60}
    value={group}
    list={id}
    onchange={(event) => onchange(event.currentTarget.value)}
    onkeydown={escape}
  />
  <datalist {id}>
    {#each groups as known (known)}<option value={known}></option>{/each}
  </datalist>
{:else if group}
  <span class="text-[0.9rem] text-soft">{group}</span>
{/if}
