<script lang="ts">
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import SecondFactor from './SecondFactor.svelte';
  import { session } from './session.svelte';

  interface Props {
    onleave: () => void;
  }

  let { onleave }: Props = $props();

  async function signOut() {
    await session.signOut();
    onleave();
  }
</script>

<svelte:head><title>A second factor first · Jemble</title></svelte:head>

<main class="flex min-h-dvh flex-col">
  <p class="bg-bar px-10 py-5 font-heading text-[1.5rem] font-bold text-white max-md:px-5">
    Jemble
  </p>
  <div class="flex flex-1 justify-center px-5 py-10">
    <div class="flex w-full max-w-2xl flex-col gap-4">
      <h1 class="text-[1.6rem]">A second factor first</h1>
      <p>{session.colleague?.house} lets nobody in by a password alone. Set up your app now.</p>
      <SecondFactor />
      <p class="text-[0.87rem] text-soft">
        No app at hand? <HouseButton weight="quiet" onclick={signOut}>Sign out</HouseButton>
      </p>
    </div>
  </div>
</main>
