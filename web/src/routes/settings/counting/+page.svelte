<script lang="ts">
  import { instead } from '$lib/api/instead';
  import { answer, api } from '$lib/api/client';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';

  const queries = useQueryClient();
  const query = createQuery(() => ({
    queryKey: ['counting'],
    queryFn: () => answer(api.GET('/api/counting')),
    refetchOnWindowFocus: false
  }));
  const mayChange = $derived(session.may('SETTINGS'));
  let seconds = $state(5);
  let burst = $state(5);
  let agents = $state('');
  let ranges = $state('');
  $effect(() => {
    if (query.data) {
      seconds = query.data.withinSeconds;
      burst = query.data.burstSeconds;
      agents = query.data.agents.join('\n');
      ranges = query.data.ranges.join('\n');
    }
  });

  async function save() {
    const body = {
      withinSeconds: seconds,
      burstSeconds: burst,
      agents: agents.split('\n'),
      ranges: ranges.split('\n')
    };
    try {
      queries.setQueryData(['counting'], await answer(api.PUT('/api/counting', { body })));
      notices.say('Saved; it holds for what is fetched from now on.');
    } catch (error) {
      notices.fail(error);
    }
  }

  const field =
    'rounded-lg border-line bg-card px-3 py-1.5 placeholder:text-soft disabled:text-soft';
</script>

<PageHead
  title="Counting responses"
  words={mayChange
    ? 'What software opens or follows is never counted as a person.'
    : `What software opens or follows is never counted as a person. ${session.why('SETTINGS')}`}
>
  {#snippet actions()}{#if mayChange}<HouseButton weight="main" onclick={save}>Save</HouseButton
      >{/if}{/snippet}
</PageHead>
{#if instead(query)}
  <Trouble error={query.error} onretry={() => query.refetch()} />
{:else if query.data}
  <fieldset class="grid grid-cols-3 items-start gap-3 max-lg:grid-cols-1" disabled={!mayChange}>
    <section class="panel flex flex-col gap-2 p-4">
      <h2 class="text-[1rem]">Too fast for a person</h2>
      <label class="flex items-center justify-between gap-3">
        Seconds after it left
        <input
          type="number"
          min="0"
          max="600"
          class={`w-24 text-end ${field}`}
          bind:value={seconds}
        />
      </label>
      <p class="text-[0.9rem] text-soft">
        Scanners look into a message, and follow all its links, while it is being delivered.
      </p>
      <label class="mt-2 flex items-center justify-between gap-3">
        Seconds between all links
        <input type="number" min="0" max="60" class={`w-24 text-end ${field}`} bind:value={burst} />
      </label>
      <p class="text-[0.9rem] text-soft">
        Some come later. Whoever follows every link of a message, three or more, within so many
        seconds is software too; a reader follows the one that they want.
      </p>
    </section>
    <section class="panel flex flex-col gap-2 p-4">
      <h2 class="text-[1rem]"><label for="agents">Names of software</label></h2>
      <textarea
        id="agents"
        class={`min-h-40 w-full [field-sizing:content] ${field}`}
        bind:value={agents}
      ></textarea>
      <p class="text-[0.9rem] text-soft">
        One a line. Software that fetches says what it is; a name that ends so is no person’s mail
        reader. So is one that says nothing.
      </p>
    </section>
    <section class="panel flex flex-col gap-2 p-4">
      <h2 class="text-[1rem]"><label for="ranges">Addresses of mail services</label></h2>
      <textarea
        id="ranges"
        rows="12"
        class={`w-full ${field}`}
        placeholder="192.0.2.0/24"
        bind:value={ranges}
      ></textarea>
      <p class="text-[0.9rem] text-soft">
        One a line. Some mail services fetch pictures for their readers before they read, and call
        themselves a browser; they are known by where they fetch from.
      </p>
    </section>
  </fieldset>
{/if}
