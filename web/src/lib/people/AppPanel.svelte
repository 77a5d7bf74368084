<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { waysQuery } from '$lib/api/queries';
  import type { DeviceOfPerson } from '$lib/api/types';
  import { lately } from '$lib/format/dates';
  import { session } from '$lib/session/session.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import Panel from '$lib/ui/Panel.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';

  interface Props {
    personId: number;
  }

  let { personId }: Props = $props();
  const queries = useQueryClient();
  const params = $derived({ path: { id: personId } });
  const ways = createQuery(waysQuery);
  const hasApp = $derived((ways.data ?? []).some((way) => way.channel === 'APP'));
  const app = createQuery(() => ({
    queryKey: ['app-of', personId],
    enabled: hasApp,
    queryFn: () => answer(api.GET('/api/people/{id}/app', { params }))
  }));
  const quiet = 'min-h-6 font-semibold text-kelp hover:underline';

  async function act(work: () => Promise<unknown>, words: string) {
    try {
      await work();
      notices.say(words);
      void queries.invalidateQueries();
    } catch (error) {
      notices.fail(error);
    }
  }

  const copy = (link: string) =>
    act(() => navigator.clipboard.writeText(link), 'Their link is copied; it is for them alone.');

  const renew = () =>
    act(
      () => answer(api.POST('/api/people/{id}/app/link', { params })),
      'They have a new link; the one before leads nowhere.'
    );

  const takeOff = (device: DeviceOfPerson) =>
    act(
      () =>
        answer(
          api.DELETE('/api/people/{id}/app/{device}', {
            params: { path: { id: personId, device: device.id } }
          })
        ),
      'It gets no notices until the app registers anew.'
    );

  const bar = (device: DeviceOfPerson) =>
    act(
      () =>
        answer(
          api.POST('/api/do-not-write', {
            body: { address: device.address, reason: 'asked', note: device.name }
          })
        ),
      'It is on the do-not-write list.'
    );

  const standing = (device: DeviceOfPerson) =>
    device.goneAt
      ? `gone ${lately(device.goneAt, session.zone)}: ${device.goneWhy}`
      : device.barred
        ? 'on the do-not-write list'
        : `heard of ${lately(device.heardAt, session.zone)}`;
</script>

{#if app.data}
  <Panel title="Our app">
    {#snippet aside()}
      <button type="button" class={quiet} onclick={() => app.data && copy(app.data.link)}
        >Copy their link</button
      >
    {/snippet}
    <ul class="px-3.5 py-2">
      {#each app.data.devices as device (device.id)}
        <li class="py-1">
          <span class={device.goneAt ? 'text-soft' : 'font-semibold'}
            >{device.name || 'A device'}</span
          >
          <span class="text-[0.87rem] text-soft">{standing(device)}</span>
          {#if !device.goneAt}
            <span class="flex gap-3 text-[0.87rem]">
              <button type="button" class={quiet} onclick={() => takeOff(device)}>Take off</button>
              {#if !device.barred}
                <button type="button" class={quiet} onclick={() => bar(device)}
                  >Never notify it</button
                >
              {/if}
            </span>
          {/if}
        </li>
      {:else}
        <li class="py-1 text-soft">On no device yet.</li>
      {/each}
      <li class="py-1 text-[0.87rem]">
        <button type="button" class={quiet} onclick={renew}>Give them a new link</button>
      </li>
    </ul>
  </Panel>
{/if}
