<script lang="ts">
  import { Input, Label } from 'flowbite-svelte';

  interface Props {
    password: string;
    wrong: string;
    label?: string;
    /** Whether it has the focus when its dialog opens. */
    first?: boolean;
  }

  let { password = $bindable(), wrong, label = 'Your password', first = false }: Props = $props();
  const id = $props.id();
</script>

<div>
  <Label for={id} class="mb-1">{label}</Label>
  <Input
    {id}
    type="password"
    bind:value={password}
    autocomplete="current-password"
    required
    data-autofocus={first || undefined}
    aria-describedby={wrong ? `${id}-wrong` : undefined}
    aria-invalid={wrong ? 'true' : undefined}
  />
  {#if wrong}<p id={`${id}-wrong`} class="mt-1 text-brick" role="alert">{wrong}</p>{/if}
</div>
