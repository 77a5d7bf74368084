<script lang="ts">
  import { shipped } from '$lib/format/languages';

  interface Props {
    /** The tag of one that ships; null: as the house has it. */
    language: string | null;
    id?: string;
  }

  let { language = $bindable(), id }: Props = $props();
</script>

<select {id} class="w-full rounded-lg border-line bg-card px-2.5 py-1.5" bind:value={language}>
  <option value={null}>The house’s own</option>
  {#each shipped as each (each.tag)}
    <option value={each.tag} lang={each.tag}>{each.name}</option>
  {/each}
</select>
