<script lang="ts">
  import { Button } from 'flowbite-svelte';
  import type { Snippet } from 'svelte';

  interface Props {
    /** main: the one thing to do here; plain: others; quiet: a word in a row; grave: cannot be undone */
    weight?: 'main' | 'plain' | 'quiet' | 'grave';
    /** The key that does the same, shown small; true keys are set in lib/keys. */
    shortcut?: string;
    /** Whether it has the focus when its dialog opens. */
    first?: boolean;
    type?: 'button' | 'submit';
    /** The form it submits, when it stands outside of it. */
    form?: string;
    disabled?: boolean;
    class?: string;
    onclick?: () => void;
    children: Snippet;
  }

  let {
    weight = 'plain',
    shortcut,
    first = false,
    type = 'button',
    form,
    disabled = false,
    class: extra = '',
    onclick,
    children
  }: Props = $props();

  const looks = {
    main: 'max-md:min-h-[44px] bg-kelp text-on-kelp hover:bg-kelp-strong px-3.5 py-1.5 disabled:bg-shade disabled:text-soft',
    plain:
      'max-md:min-h-[44px] bg-card text-ink dark:text-ink border border-line hover:bg-shade hover:text-ink focus-within:text-ink px-3.5 py-1.5',
    quiet:
      'border-0 bg-transparent dark:bg-transparent text-kelp dark:text-kelp hover:bg-transparent hover:underline p-0 text-[0.93rem]',
    grave:
      'max-md:min-h-[44px] bg-card text-brick dark:text-brick border border-line hover:bg-brick-pale hover:text-brick focus-within:text-brick px-3.5 py-1.5'
  };
</script>

<Button
  color={weight === 'main' ? 'primary' : 'alternative'}
  class={`${looks[weight]} ${extra}`}
  {type}
  {form}
  {disabled}
  {onclick}
  data-autofocus={first ? '' : undefined}
>
  {@render children()}
  {#if shortcut}
    <kbd
      class="ms-2 rounded border border-current px-1 text-[0.7rem] leading-4 font-medium opacity-75 max-md:hidden"
      aria-hidden="true">{shortcut}</kbd
    >
  {/if}
</Button>
