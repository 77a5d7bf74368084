<script lang="ts">
  import { goto } from '$app/navigation';
  import { templatesQuery } from '$lib/api/queries';
  import { dayAndYear } from '$lib/format/dates';
  import { session } from '$lib/session/session.svelte';
  import MergeText from '$lib/template/MergeText.svelte';
  import Act from '$lib/ui/Act.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  const query = createQuery(templatesQuery);
  const mayWrite = $derived(session.colleague?.mayWrite ?? false);
</script>

<PageHead title="Templates" words="Messages to begin from, with merge fields.">
  {#snippet actions()}
    {#if mayWrite}
      <Act look="main" onclick={() => goto('/templates/new')}>New template</Act>
    {/if}
  {/snippet}
</PageHead>
{#if query.error}
  <Trouble error={query.error} onretry={() => query.refetch()} />
{:else if query.data?.length === 0}
  <div class="panel p-6">
    <p>There is no template yet.</p>
    <p class="text-soft">Write a message once, and every mailing can begin from it.</p>
  </div>
{:else}
  <div class="grid grid-cols-2 gap-3 max-md:grid-cols-1">
    {#each query.data ?? [] as template (template.id)}
      <a href={`/templates/${template.id}`} class="panel block min-w-0 p-4 hover:border-kelp-mid">
        <span class="flex items-baseline justify-between gap-3">
          <span class="font-heading text-[1.1rem] font-bold">{template.name}</span>
          <span class="text-[0.87rem] whitespace-nowrap text-soft">{template.topic}</span>
        </span>
        <span class="mt-1 block truncate"><MergeText text={template.subject} /></span>
        <span class="mt-2 block text-[0.87rem] text-soft">
          {template.used === 0
            ? 'not used yet'
            : template.used === 1
              ? 'used by 1 mailing'
              : `used by ${template.used} mailings`} · changed {dayAndYear(
            template.changedAt,
            session.zone
          )} by {template.changedBy}
        </span>
      </a>
    {/each}
  </div>
{/if}
