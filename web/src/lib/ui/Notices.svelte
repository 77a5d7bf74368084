<script lang="ts">
  import { notices } from './notices.svelte';
</script>

<div class="fixed right-4 bottom-4 z-50 flex max-w-[26rem] flex-col gap-2" role="status">
  {#each notices.list as notice (notice.id)}
    <div
      class={`flex items-start gap-3 rounded-lg border px-3.5 py-2.5 shadow-lg ${notice.bad ? 'border-brick bg-brick-pale text-ink' : 'border-line bg-card'}`}
    >
      <span>{notice.words}</span>
      {#if notice.undo}
        <button
          type="button"
          class="font-semibold text-kelp"
          onclick={() => {
            notice.undo?.();
            notices.drop(notice.id);
          }}>Undo</button
        >
      {/if}
      <button
        type="button"
        class="ms-auto px-1 text-soft"
        aria-label="Close"
        onclick={() => notices.drop(notice.id)}>×</button
      >
    </div>
  {/each}
</div>
