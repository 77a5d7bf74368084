<script lang="ts">
  import { Input, Label } from 'flowbite-svelte';

  interface Props {
    code: string;
    wrong: string;
    /** What stands beneath it. */
    hint?: string;
  }

  let { code = $bindable(), wrong, hint = 'Or one of your codes on paper.' }: Props = $props();
  const id = $props.id();
</script>

<Label for={id} class="mb-1">Code</Label>
<Input
  {id}
  bind:value={code}
  class="font-mono tracking-wider"
  autocomplete="one-time-code"
  autocapitalize="off"
  spellcheck={false}
  maxlength={40}
  required
  autofocus
  aria-describedby={wrong ? `${id}-wrong` : `${id}-hint`}
  aria-invalid={wrong ? 'true' : undefined}
/>
{#if wrong}<p id={`${id}-wrong`} class="mt-1 text-brick" role="alert">{wrong}</p>
{:else}<p id={`${id}-hint`} class="mt-1 text-[0.87rem] text-soft">{hint}</p>{/if}
