<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { CardBody, OccasionBody } from '$lib/api/types';
  import { upload } from '$lib/picture/pictures';
  import Ask from '$lib/ui/Ask.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { createQuery, keepPreviousData } from '@tanstack/svelte-query';
  import { fresh, onPicture, SHIPPED } from './card';
  import CardCanvas from './CardCanvas.svelte';
  import CardPieces from './CardPieces.svelte';

  interface Props {
    open: boolean;
    /** The standing mailing that it is for, as it stands in its dialog. */
    of: OccasionBody;
    onsave: (card: CardBody | null) => void;
  }

  let { open = $bindable(), of, onsave }: Props = $props();

  // A dialog begins with what was there and then goes its own way.
  // svelte-ignore state_referenced_locally
  let card = $state<CardBody>(structuredClone($state.snapshot(of.card)) ?? fresh('pennants'));
  let at = $state(0);
  let file: HTMLInputElement;

  const proofs = createQuery(() => ({
    queryKey: ['card-proof', card, of.whom],
    queryFn: () =>
      answer(
        api.POST('/api/occasions/card-proof', {
          body: { ...$state.snapshot(of), name: of.name || 'Card', card: $state.snapshot(card) }
        })
      ),
    placeholderData: keepPreviousData,
    retry: false,
    gcTime: 0
  }));

  async function own() {
    const chosen = file.files?.[0];
    if (!chosen) return;
    try {
      card = onPicture(card, (await upload(chosen)).key);
    } catch (error) {
      notices.fail(error);
    } finally {
      file.value = '';
    }
  }
</script>

<Ask bind:open title="The card" wide>
  <div class="flex flex-col gap-3">
    <div class="flex flex-wrap gap-2" role="group" aria-label="Picture">
      {#each Object.entries(SHIPPED) as [key, picture] (key)}
        <button
          type="button"
          class={`rounded-md border-2 p-0.5 ${card.picture === key ? 'border-kelp' : 'border-transparent'}`}
          aria-pressed={card.picture === key}
          aria-label={picture.name}
          title={picture.name}
          onclick={() => (card = onPicture(card, key))}
        >
          <img src={`/api/card-pictures/${key}`} alt="" class="h-12 w-[4.8rem] rounded-sm" />
        </button>
      {/each}
      <HouseButton weight="quiet" onclick={() => file.click()}>A picture of our own</HouseButton>
      <input
        bind:this={file}
        type="file"
        class="hidden"
        accept="image/png,image/jpeg"
        aria-label="A picture of our own: choose a file"
        onchange={own}
      />
    </div>
    <div class="grid grid-cols-[minmax(0,3fr)_minmax(0,2fr)] gap-3 max-md:grid-cols-1">
      <div class="flex min-w-0 flex-col gap-2">
        <CardCanvas bind:card bind:at />
        <CardPieces bind:card bind:at />
      </div>
      <div class="flex min-w-0 flex-col gap-2">
        {#if proofs.error}<p class="text-brick" role="alert">{proofs.error.message}</p>{/if}
        {#each proofs.data ?? [] as proof, i (i)}
          <figure class="m-0">
            <img
              src={proof.picture}
              alt={proof.words}
              class="w-full rounded-md border border-line"
            />
            <figcaption class="text-[0.87rem] text-soft">
              {i === 0 ? 'The longest name' : 'The shortest'}: {proof.name || 'no name'}
              {#if proof.missing.length > 0}
                <span class="text-ochre">· without {proof.missing.join(', ')}: they get none</span>
              {/if}
            </figcaption>
          </figure>
        {/each}
      </div>
    </div>
  </div>
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (open = false)}>Not now</HouseButton>
    {#if of.card}
      <HouseButton onclick={() => (onsave(null), (open = false))}>No card</HouseButton>
    {/if}
    <HouseButton weight="main" onclick={() => (onsave($state.snapshot(card)), (open = false))}
      >Take this card</HouseButton
    >
  {/snippet}
</Ask>
