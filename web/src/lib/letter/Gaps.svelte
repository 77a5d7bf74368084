<script lang="ts">
  import { fieldWords } from '$lib/format/fields';

  interface Props {
    /** Fields without a value, and with nothing to be written instead. */
    missing: string[];
    /** Fields that are filled in by what a message is about. */
    later: string[];
  }

  let { missing, later }: Props = $props();
  const listed = (fields: string[]) => fields.map(fieldWords).join(', ');
</script>

{#if missing.length}
  <p class="mb-2 rounded-md bg-ochre-pale px-2.5 py-1 text-[0.87rem] text-ochre" data-gaps>
    Not known, and nothing stands in for it: {listed(missing)}. Say in the field what is written
    then, or a gap stays.
  </p>
{/if}
{#if later.length}
  <p class="mb-2 text-[0.87rem] text-soft">Filled in when it is sent: {listed(later)}.</p>
{/if}
