<script lang="ts">
  interface Props {
    /** Whether what is shown was typed before, and not saved. */
    is: boolean;
    onforget: () => void;
  }

  let { is, onforget }: Props = $props();
</script>

{#if is}
  <p class="flex flex-wrap items-center gap-x-3 rounded-md bg-ochre-pale px-3 py-1" role="status">
    This is what you typed before and did not save.
    <button
      type="button"
      class="min-h-[26px] font-semibold text-kelp hover:underline max-md:min-h-[44px]"
      onclick={onforget}>Begin anew</button
    >
  </p>
{/if}
