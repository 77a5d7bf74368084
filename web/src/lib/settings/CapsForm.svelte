<script lang="ts">
  import type { Sending } from '$lib/api/types';

  interface Props {
    sending: Sending;
    mayChange: boolean;
  }

  let { sending = $bindable(), mayChange }: Props = $props();

  /** An empty field is no limit; what is no number leaves it as it was. */
  function read(value: string, before: number | null): number | null {
    if (value.trim() === '') return null;
    const number = Math.floor(Number(value));
    return number >= 0 ? number : before;
  }

  const ways = [
    { way: 'EMAIL', words: 'What the mail service lets through' },
    { way: 'TEXT', words: 'What the text service lets through' },
    { way: 'APP', words: 'What the push services let through' }
  ] as const;

  function setWay(way: Sending['ways'][number]['way'], value: string) {
    const most = read(value, sending.ways.find((w) => w.way === way)?.most ?? null);
    sending.ways = [...sending.ways.filter((w) => w.way !== way), { way, most }];
  }
</script>

{#snippet cap(words: string, value: number | null, set: (value: string) => void, none: string)}
  <label class="flex items-center justify-between gap-3">
    {words}
    <input
      type="number"
      min="0"
      class="w-28 rounded-md border-line bg-card px-2 py-1 text-end placeholder:text-soft disabled:text-soft"
      placeholder={none}
      {value}
      onchange={(e) => set(e.currentTarget.value)}
    />
  </label>
{/snippet}

<fieldset class="panel flex flex-col gap-2 p-4" disabled={!mayChange}>
  <h2 class="text-[1rem]">Messages a day</h2>
  {@render cap(
    'All mailings together',
    sending.dailyCap,
    (v) => (sending.dailyCap = read(v, sending.dailyCap)),
    'no limit'
  )}
  {#each ways as { way, words } (way)}
    {@render cap(
      words,
      sending.ways.find((w) => w.way === way)?.most ?? null,
      (v) => setWay(way, v),
      'no limit'
    )}
  {/each}
  <h3 class="mt-2 text-[0.95rem] font-bold">By colleague, where other than the role</h3>
  {#each sending.colleagues as colleague (colleague.id)}
    {@render cap(
      colleague.name,
      colleague.most,
      (v) => (colleague.most = read(v, colleague.most)),
      colleague.ofRole === null ? 'no limit' : String(colleague.ofRole)
    )}
  {/each}
  <a class="self-start font-semibold text-kelp hover:underline" href="/settings/roles"
    >What each role may send</a
  >
  <h3 class="mt-2 text-[0.95rem] font-bold">Each mailing</h3>
  {@render cap(
    'People one mailing may go to',
    sending.mostPerMailing,
    (v) => (sending.mostPerMailing = read(v, sending.mostPerMailing) || null),
    'no limit'
  )}
  {@render cap(
    'Days people are left alone',
    sending.spacingDays,
    (v) => (sending.spacingDays = read(v, sending.spacingDays) ?? 0),
    '0'
  )}
</fieldset>
