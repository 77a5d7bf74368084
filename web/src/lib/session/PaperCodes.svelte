<script lang="ts">
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';

  interface Props {
    codes: string[];
    onclose: () => void;
  }

  let { codes, onclose }: Props = $props();

  async function copy() {
    try {
      await navigator.clipboard.writeText(codes.join('\n'));
      notices.say('The codes are copied.');
    } catch {
      notices.say('This browser does not let them be copied; pick them by hand.');
    }
  }
</script>

<p role="status">
  Write these down and keep them where your app is not. Each lets you in once when the app is lost.
  They are not shown again.
</p>
<ol
  class="my-3 grid grid-cols-2 gap-x-6 gap-y-1 font-mono text-[0.87rem] max-sm:grid-cols-1"
  aria-label="Codes on paper"
>
  {#each codes as code (code)}<li>{code}</li>{/each}
</ol>
<div class="flex gap-3">
  <HouseButton onclick={copy}>Copy</HouseButton>
  <HouseButton weight="main" onclick={onclose}>I have them</HouseButton>
</div>
