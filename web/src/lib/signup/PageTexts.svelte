<script lang="ts">
  import type { ReaderLanguage, SignUpPageBody } from '$lib/api/types';
  import { Input, Select, Textarea } from 'flowbite-svelte';
  import { LANGUAGES } from '$lib/format/languages';
  import { unwritten, withLanguage } from './signup';

  interface Props {
    page: SignUpPageBody;
    /** The language that is written, and shown in the proof. */
    language: ReaderLanguage;
  }

  let { page = $bindable(), language = $bindable() }: Props = $props();

  const at = $derived(page.words.findIndex((w) => w.language === language));
  const more = $derived(unwritten(page));

  const TEXTS = [
    { name: 'intro', label: 'Below the title', ships: '' },
    { name: 'consent', label: 'What the reader agrees to', ships: '' },
    { name: 'thanks', label: 'Thanks, after confirming', ships: 'the words that ship' },
    { name: 'mail', label: 'The confirmation mail', ships: 'the words that ship' }
  ] as const;

  function write(added: string) {
    if (!added) return;
    page = withLanguage(page, added as ReaderLanguage);
    language = added as ReaderLanguage;
  }

  function drop() {
    page.words = page.words.filter((w) => w.language !== language);
    language = page.words[0]?.language ?? 'EN';
  }
</script>

<div class="mb-2 flex flex-wrap items-center gap-x-4 gap-y-1" role="group" aria-label="Language">
  {#each page.words as written (written.language)}
    <button
      type="button"
      class={`min-h-6 ${written.language === language ? 'font-bold' : 'text-kelp hover:underline'}`}
      aria-pressed={written.language === language}
      onclick={() => (language = written.language)}>{LANGUAGES[written.language]}</button
    >
  {/each}
  {#if more.length > 0}
    <Select
      class="w-auto"
      size="sm"
      placeholder=""
      aria-label="Write it in one more language"
      items={[
        { value: '', name: 'One more language…' },
        ...more.map((l) => ({ value: l, name: LANGUAGES[l] }))
      ]}
      bind:value={() => '', write}
    />
  {/if}
  {#if at > 0}
    <button type="button" class="min-h-6 text-soft hover:underline" onclick={drop}
      >Take {LANGUAGES[language]} away</button
    >
  {/if}
</div>
{#if page.words[at]}
  {@const words = page.words[at].words}
  <label class="mb-2 flex flex-col gap-1">
    Title
    <Input bind:value={words.title} maxlength={300} />
  </label>
  {#each TEXTS as text (text.name)}
    <label class="mb-2 flex flex-col gap-1">
      {text.label}
      <Textarea
        class="w-full"
        rows={text.name === 'intro' || text.name === 'mail' ? 3 : 2}
        maxlength={5000}
        placeholder={text.ships}
        bind:value={words[text.name]}
      />
    </label>
  {/each}
  <label class="flex flex-col gap-1">
    Subject of that mail
    <Input bind:value={words.subject} maxlength={300} placeholder="the words that ship" />
  </label>
{/if}
