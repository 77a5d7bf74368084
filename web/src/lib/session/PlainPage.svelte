<script lang="ts">
  import type { Snippet } from 'svelte';

  interface Props {
    title: string;
    children: Snippet;
  }

  let { title, children }: Props = $props();
</script>

<svelte:head><title>{title} · Jemble</title></svelte:head>

<main class="flex min-h-dvh flex-col">
  <p class="bg-bar px-10 py-5 font-heading text-[1.5rem] font-bold text-white max-md:px-5">
    Jemble
  </p>
  <div class="flex flex-1 justify-center px-5 py-12">
    <div class="w-full max-w-[24rem]">
      <h1 class="mb-4 text-[1.6rem]">{title}</h1>
      {@render children()}
    </div>
  </div>
</main>
