<script lang="ts">
  import type { Proof } from '$lib/api/types';
  import { linkHost } from './notice';

  interface Props {
    notice: NonNullable<Proof['notice']>;
  }

  let { notice }: Props = $props();
</script>

<!-- What scrolls must be reachable by key. -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div
  class="mx-auto flex min-h-0 w-[17.5rem] max-w-full flex-1 flex-col overflow-y-auto rounded-t-[1.6rem] border-2 border-b-0 border-line bg-shade px-3 pt-10"
  tabindex="0"
  role="region"
  aria-label="The notice as a phone shows it"
>
  <div class="rounded-lg bg-card px-3 py-2 text-[0.93rem] break-words text-ink" data-proof-text>
    <p class="font-semibold">{notice.title}</p>
    <p class="whitespace-pre-wrap">{notice.words}</p>
    {#if notice.link}
      <p class="mt-1 truncate text-[0.87rem] text-kelp" title={notice.link}>
        {linkHost(notice.link)}
      </p>
    {/if}
  </div>
  {#if !notice.link}
    <p class="mt-2 text-center text-[0.82rem] text-soft">A tap opens the app.</p>
  {/if}
</div>
