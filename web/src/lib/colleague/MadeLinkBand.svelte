<script lang="ts">
  import type { MadeLink } from '$lib/api/types';
  import { dayAndTime } from '$lib/format/dates';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';

  interface Props {
    name: string;
    link: MadeLink;
    onclose: () => void;
  }

  let { name, link, onclose }: Props = $props();

  async function copy() {
    try {
      await navigator.clipboard.writeText(link.link);
      notices.say('The link is copied.');
    } catch {
      notices.say('This browser does not let it be copied; pick it by hand.');
    }
  }
</script>

<section class="panel flex flex-col gap-2 px-4 py-3" aria-label={`The link for ${name}`}>
  <p role="status">
    {#if link.mailed}
      A mail with the link is on its way to <strong>{name}</strong>.
    {:else}
      <span class="text-brick">No mail could be sent.</span> Give <strong>{name}</strong> this link yourself.
    {/if}
    It works once, until {dayAndTime(link.goodUntil, session.zone)}, and is not shown again.
  </p>
  <div class="flex flex-wrap items-center gap-3">
    <input
      class="min-w-0 flex-1 rounded-lg border border-line bg-card px-2 py-1 text-[0.87rem]"
      readonly
      value={link.link}
      aria-label={`Link by which ${name} sets a password`}
      onfocus={(e) => e.currentTarget.select()}
    />
    <HouseButton onclick={copy}>Copy</HouseButton>
    <HouseButton weight="quiet" onclick={onclose}>Done</HouseButton>
  </div>
</section>
