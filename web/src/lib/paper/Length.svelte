<script lang="ts">
  import { millimetres } from './paper';

  interface Props {
    label: string;
    /** In millimetres. */
    value: number;
    onchange: (value: number) => void;
  }

  let { label, value, onchange }: Props = $props();
  let wrong = $state(false);

  function read(input: HTMLInputElement) {
    const length = millimetres(input.value);
    wrong = length === null;
    if (length !== null) onchange(length);
  }
</script>

<label>
  <span class="mb-0.5 block text-[0.87rem] text-soft">{label}</span>
  <input
    class="w-full rounded-lg border border-line bg-card px-2.5 py-1.5"
    value={`${value} mm`}
    aria-invalid={wrong}
    onchange={(e) => read(e.currentTarget)}
  />
  {#if wrong}<span class="text-[0.8rem] text-brick" role="alert">Such as 2 mm or 0.1 in.</span>{/if}
</label>
