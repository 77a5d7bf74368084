<script lang="ts">
  import { goto } from '$app/navigation';
  import { templatesQuery } from '$lib/api/queries';
  import DocumentList from '$lib/document/DocumentList.svelte';
  import { session } from '$lib/session/session.svelte';
  import { byLabel } from '$lib/template/byLabel';
  import TemplateCard from '$lib/template/TemplateCard.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  const query = createQuery(templatesQuery);
  const mayWrite = $derived(session.may('TEMPLATES'));
  let words = $state('');
  const groups = $derived(byLabel(query.data ?? [], words));
</script>

<PageHead title="Templates" words="Messages to begin from, with merge fields.">
  {#snippet actions()}
    <input
      type="search"
      class="w-56 max-w-full min-w-24 rounded-lg border-line bg-card px-3 py-1.5 placeholder:text-soft"
      placeholder="Find a template"
      aria-label="Find a template"
      bind:value={words}
    />
    <HouseButton onclick={() => goto('/letterheads')}>Letterheads</HouseButton>
    {#if mayWrite}
      <HouseButton weight="main" onclick={() => goto('/templates/new')}>New template</HouseButton>
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
  {#each groups as group (group.label)}
    <section aria-label={group.label || 'Without a label'}>
      <h2 class="mb-1.5 text-[1rem] text-soft">{group.label || 'Without a label'}</h2>
      <div class="grid grid-cols-2 gap-3 max-md:grid-cols-1">
        {#each group.templates as template (template.id)}<TemplateCard {template} />{/each}
      </div>
    </section>
  {:else}
    {#if query.data}<p class="text-soft">No template has these words.</p>{/if}
  {/each}
{/if}
<DocumentList {words} {mayWrite} />
