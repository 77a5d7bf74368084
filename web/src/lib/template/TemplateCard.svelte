<script lang="ts">
  import type { Template } from '$lib/api/types';
  import { dayAndYear } from '$lib/format/dates';
  import { session } from '$lib/session/session.svelte';
  import MergeText from '$lib/editor/MergeText.svelte';

  interface Props {
    template: Template;
  }

  let { template }: Props = $props();
  const used = $derived(
    template.used === 0
      ? 'not used yet'
      : template.used === 1
        ? 'used by 1 mailing'
        : `used by ${template.used} mailings`
  );
</script>

<a href={`/templates/${template.id}`} class="panel block min-w-0 p-4 hover:border-kelp-mid">
  <span class="flex flex-wrap items-baseline justify-between gap-x-3">
    <span class="font-heading text-[1.1rem] font-bold">{template.name}</span>
    <span class="text-[0.87rem] whitespace-nowrap text-soft">
      {template.private ? 'mine alone · ' : ''}for a {template.startsFrom} · {template.topic}
    </span>
  </span>
  <span class="mt-1 line-clamp-2"><MergeText text={template.subject} /></span>
  <span class="mt-2 block text-[0.87rem] text-soft">
    {used} · changed {dayAndYear(template.changedAt, session.zone)} by {template.changedBy}
  </span>
</a>
