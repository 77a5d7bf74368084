<script lang="ts">
  import type { SignUpPageView } from '$lib/api/types';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';

  interface Props {
    shown: SignUpPageView;
  }

  let { shown }: Props = $props();
  let box = $state<HTMLTextAreaElement>();

  /** Where the browser keeps its clipboard from us, what is to be copied is at least picked. */
  async function copy(text: string, words: string) {
    try {
      await navigator.clipboard.writeText(text);
      notices.say(`${words} is copied.`);
    } catch {
      box?.select();
      notices.say('This browser does not let us copy; it is picked for you to copy.');
    }
  }
</script>

<label class="flex flex-col gap-1">
  A form for a page of another site; what is sent there is looked over here first
  <textarea
    bind:this={box}
    class="w-full rounded-lg border border-line bg-card p-2 font-mono text-[0.8rem]"
    rows="6"
    readonly
    value={shown.snippet}
  ></textarea>
</label>
<div class="mt-2 flex flex-wrap gap-2">
  <HouseButton onclick={() => copy(shown.snippet, 'The form')}>Copy the form</HouseButton>
  <HouseButton onclick={() => copy(shown.address, 'The address')}>Copy the address</HouseButton>
</div>
