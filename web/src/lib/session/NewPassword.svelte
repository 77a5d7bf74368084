<script lang="ts">
  import { Input, Label } from 'flowbite-svelte';

  interface Props {
    password: string;
    wrong: string;
  }

  let { password = $bindable(), wrong }: Props = $props();
  let shown = $state(false);
</script>

<div class="mb-1 flex items-baseline justify-between">
  <Label for="new-password">New password</Label>
  <button
    type="button"
    class="text-[0.87rem] text-kelp hover:underline"
    aria-pressed={shown}
    onclick={() => (shown = !shown)}>{shown ? 'Hide' : 'Show'}</button
  >
</div>
<Input
  id="new-password"
  type={shown ? 'text' : 'password'}
  bind:value={password}
  autocomplete="new-password"
  required
  maxlength={200}
  aria-describedby={wrong ? 'password-rule wrong-new' : 'password-rule'}
  aria-invalid={wrong ? 'true' : undefined}
/>
<p id="password-rule" class="mt-1 text-[0.87rem] text-soft">
  12 characters or more; a few words that do not belong together are easy to keep.
</p>
{#if wrong}<p id="wrong-new" class="mt-1 text-brick" role="alert">{wrong}</p>{/if}
