<script lang="ts">
  import type { ServiceTried } from '$lib/api/types';
  import { createQuery } from '@tanstack/svelte-query';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import ServiceForm from './ServiceForm.svelte';
  import { servicesQuery, tryOut } from './services';
  import { placeWords, triedWords, type ServiceKind } from './serviceWords';

  interface Props {
    kind: ServiceKind;
    title: string;
    /** What it is for, in a sentence. */
    words: string;
    mayChange: boolean;
  }

  let { kind, title, words, mayChange }: Props = $props();

  const query = createQuery(servicesQuery);
  const service = $derived(query.data?.find((each) => each.kind === kind));
  /** Replies often arrive where mails leave. */
  const likelyHost = $derived(
    kind === 'MAILBOX'
      ? (query.data?.find((each) => each.kind === 'MAIL_SERVER' && each.isSet)?.host ?? '')
      : ''
  );
  let tried = $state.raw<ServiceTried | null>(null);
  let trying = $state(false);
  /** What is typed stays until it is kept, whatever others keep meanwhile. */
  let round = $state(0);

  async function onkept(isSet: boolean) {
    round++;
    if (isSet) await test();
  }

  async function test() {
    trying = true;
    tried = null;
    try {
      tried = await tryOut(kind);
    } catch (error) {
      notices.fail(error);
    } finally {
      trying = false;
    }
  }
</script>

<section class="panel @container flex flex-col gap-3 p-4" aria-label={title}>
  <div>
    <h2 class="text-[1rem]">{title}</h2>
    <p class="text-[0.9rem] text-soft">{words}</p>
  </div>
  {#if service && (service.setOutside || !mayChange)}
    <p>{service.isSet ? placeWords(service) : 'None is set.'}</p>
    {#if service.setOutside}
      <p class="text-[0.9rem] text-soft">Set outside, by {service.setOutside}; change it there.</p>
    {/if}
    {#if mayChange}
      <div><HouseButton disabled={trying} onclick={test}>Test the connection</HouseButton></div>
    {/if}
  {:else if service}
    {#key round}<ServiceForm {service} {likelyHost} {onkept} busy={trying} />{/key}
  {/if}
  <p
    role="status"
    class={trying || tried ? '' : 'sr-only'}
    class:text-brick={tried?.failed}
    class:text-soft={trying}
  >
    {trying ? 'Testing …' : tried ? triedWords(kind, tried) : ''}
  </p>
</section>
