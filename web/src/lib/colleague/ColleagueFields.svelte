<script lang="ts" module>
  export interface Described {
    name: string;
    email: string;
    title: string;
    roleId: number | null;
    language: string | null;
  }
</script>

<script lang="ts">
  import { Input } from 'flowbite-svelte';
  import { rolesQuery } from '$lib/api/queries';
  import MailLanguage from './MailLanguage.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  interface Props {
    colleague: Described;
    /** What is wrong with one of them. */
    wrong: { field: string; words: string } | null;
    onname?: (name: string) => void;
  }

  let { colleague = $bindable(), wrong, onname }: Props = $props();
  const query = createQuery(rolesQuery);
</script>

{#snippet why(field: string)}
  {#if wrong?.field === field}<span class="text-brick" role="alert">{wrong.words}</span>{/if}
{/snippet}

<label class="flex flex-col gap-1">
  Name
  <Input
    bind:value={colleague.name}
    required
    maxlength={120}
    data-autofocus
    autocomplete="off"
    oninput={() => onname?.(colleague.name)}
  />
  {@render why('name')}
</label>
<label class="flex flex-col gap-1">
  E-mail
  <Input type="email" bind:value={colleague.email} required maxlength={254} autocomplete="off" />
  {@render why('email')}
</label>
<label class="flex flex-col gap-1">
  What they do here
  <Input
    bind:value={colleague.title}
    maxlength={120}
    autocomplete="off"
    placeholder="stands beneath their name in letters"
  />
</label>
<label class="flex flex-col gap-1">
  Language of mails to them
  <MailLanguage bind:language={colleague.language} />
</label>
<fieldset class="flex flex-col gap-1">
  <legend class="mb-1">Role</legend>
  {#each query.data?.roles ?? [] as role (role.id)}
    <label class="flex items-center gap-2">
      <input
        type="radio"
        class="text-kelp"
        name="role"
        required
        value={role.id}
        bind:group={colleague.roleId}
      />
      {role.name}
    </label>
  {/each}
  <a class="font-semibold text-kelp hover:underline" href="/settings/roles" target="_blank"
    >What each of them may do</a
  >
  {@render why('role')}
</fieldset>
