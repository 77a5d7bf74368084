<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { OutsideService } from '$lib/api/types';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { Sending } from '$lib/ui/sending.svelte';
  import { useQueryClient } from '@tanstack/svelte-query';
  import { untrack } from 'svelte';
  import ServiceMore from './ServiceMore.svelte';
  import { portFor, protections, type Protection } from './serviceWords';

  interface Props {
    service: OutsideService;
    /** Proposed as long as nothing is set or typed. */
    likelyHost: string;
    /** It is kept; what is set can be tried. */
    onkept: (isSet: boolean) => Promise<void>;
    busy: boolean;
  }

  let { service, likelyHost, onkept, busy }: Props = $props();

  const queries = useQueryClient();
  const sending = new Sending();
  let draft = $state(untrack(() => structuredClone($state.snapshot(service))));
  let password = $state('');
  let typed = $state(false);
  let hostTyped = $state(false);
  $effect(() => {
    if (likelyHost && !service.isSet && !hostTyped) draft.host = likelyHost;
  });
  const ways = $derived(
    (Object.keys(protections) as Protection[]).filter(
      (way) => draft.kind !== 'TEXT_SERVICE' || way !== 'STARTTLS'
    )
  );

  function protect(wanted: Protection) {
    draft.port = portFor(draft.kind, draft.port, wanted);
    draft.protection = wanted;
  }

  const keep = (event: SubmitEvent) =>
    sending.send(event, async () => {
      const { kind, host, port, protection, user, ...rest } = $state.snapshot(draft);
      const { authority, lines, perSecond, sender, trustedServer, version } = rest;
      const kept = await answer(
        api.PUT('/api/services/{kind}', {
          params: { path: { kind } },
          body: {
            ...{ host, port, protection, user, authority, lines, perSecond, sender },
            ...{ trustedServer, version, password: typed ? password : null }
          }
        })
      );
      queries.setQueryData(['services'], (all: OutsideService[] | undefined) =>
        all?.map((each) => (each.kind === kind ? kept : each))
      );
      void queries.invalidateQueries({ queryKey: ['set-up'] });
      void queries.invalidateQueries({ queryKey: ['ways'] });
      await onkept(kept.isSet);
    });

  const box = 'min-w-0 rounded-lg border-line bg-card px-2.5 py-1.5';
</script>

{#snippet wrong(field: string)}
  {#if sending.of(field)}<span class="text-brick" role="alert">{sending.of(field)}</span>{/if}
{/snippet}

<form class="grid grid-cols-1 gap-3 @md:grid-cols-2" onsubmit={keep}>
  <label class="flex flex-col gap-1">
    Host
    <input
      type="text"
      class={box}
      bind:value={draft.host}
      oninput={() => (hostTyped = true)}
      autocomplete="off"
      spellcheck="false"
    />
    {@render wrong('host')}
  </label>
  <div class="flex gap-3">
    <label class="flex min-w-0 flex-1 flex-col gap-1">
      Protection
      <select
        class={box}
        value={draft.protection}
        onchange={(e) => protect(e.currentTarget.value as Protection)}
      >
        {#each ways as way (way)}<option value={way}>{protections[way]}</option>{/each}
      </select>
      {@render wrong('security')}
    </label>
    <label class="flex w-24 flex-col gap-1">
      Port
      <input type="number" class={box} bind:value={draft.port} min="1" max="65535" required />
      {@render wrong('port')}
    </label>
  </div>
  <label class="flex flex-col gap-1">
    User
    <input type="text" class={box} bind:value={draft.user} autocomplete="off" spellcheck="false" />
    {@render wrong('user')}
  </label>
  <label class="flex flex-col gap-1">
    Password
    <input
      type="password"
      class={`${box} placeholder:text-soft`}
      bind:value={password}
      oninput={() => (typed = true)}
      placeholder={draft.hasPassword && !typed ? 'kept, and shown to nobody' : ''}
      autocomplete="new-password"
    />
    {@render wrong('password')}
  </label>
  {#if draft.kind === 'TEXT_SERVICE'}
    <label class="flex flex-col gap-1">
      Texts come from
      <input
        type="text"
        class={`${box} placeholder:text-soft`}
        placeholder="a number, or a name of 11 letters"
        bind:value={draft.sender}
      />
      {@render wrong('sender')}
    </label>
    <label class="flex flex-col gap-1">
      Parts a second
      <input type="number" class={box} bind:value={draft.perSecond} min="1" required />
      {@render wrong('perSecond')}
    </label>
  {/if}
  {#if draft.protection === 'NONE' && draft.user && !['127.0.0.1', 'localhost', '::1'].includes(draft.host.trim())}
    <p class="col-span-full text-brick">
      Without protection whoever is on the way reads the password.
    </p>
  {/if}
  <ServiceMore bind:draft {wrong} />
  <div class="col-span-full">
    <HouseButton type="submit" disabled={sending.busy || busy}>Save and test</HouseButton>
  </div>
</form>
