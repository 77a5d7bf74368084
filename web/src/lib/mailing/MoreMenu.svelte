<script lang="ts">
  import Popup from '$lib/ui/Popup.svelte';
  import { Input } from 'flowbite-svelte';
  import type { Writing } from '$lib/draft/writing.svelte';

  interface Props {
    writing: Writing;
    /** Null saves back to the template that the message began from. */
    onsave: (name: string | null) => void;
    /** Nothing for what has left and can no longer be put away. */
    ondiscard?: () => void;
  }

  let { writing, onsave, ondiscard }: Props = $props();
  let open = $state(false);
  let name = $state('');

  function save(event: SubmitEvent) {
    event.preventDefault();
    if (!name.trim()) return;
    onsave(name.trim());
    open = false;
    name = '';
  }
</script>

<Popup bind:open label="More about this mailing" right>
  {#snippet trigger(toggle)}
    <button
      type="button"
      class="min-h-[26px] px-1.5 font-semibold text-kelp hover:underline"
      aria-label="More about this mailing"
      aria-expanded={open}
      onclick={toggle}>More</button
    >
  {/snippet}
  <div class="flex w-72 flex-col gap-2 text-left text-[0.95rem]">
    <p class="text-soft">
      {ondiscard
        ? 'What is changed here stays with this mailing, unless you keep it as a template.'
        : 'Keep these words as a template, for whom you write to next.'}
    </p>
    {#if writing.mailing.templateId}
      <button
        type="button"
        class="text-left font-semibold text-kelp hover:underline"
        onclick={() => ((open = false), onsave(null))}
        >Save back to “{writing.mailing.templateName}”</button
      >
    {/if}
    <form class="flex items-center gap-2" onsubmit={save}>
      <Input
        bind:value={name}
        size="sm"
        placeholder="Name of a new template"
        aria-label="Name of a new template"
      />
      <button type="submit" class="font-semibold text-kelp hover:underline">Keep</button>
    </form>
    {#if ondiscard}
      <button
        type="button"
        class="mt-1 border-t border-line-soft pt-2 text-left font-semibold text-brick hover:underline"
        onclick={() => ((open = false), ondiscard())}>Discard this draft</button
      >
    {/if}
  </div>
</Popup>
