<script lang="ts">
  interface Props {
    label: string;
    value: number;
    of: number;
    /** A second part after the first, lighter. */
    then?: number;
  }

  let { label, value, of, then = 0 }: Props = $props();
  const share = (n: number) => `${of ? (100 * n) / of : 0}%`;
</script>

<div
  class="mt-1.5 flex h-[9px] overflow-hidden rounded-full bg-shade"
  role="progressbar"
  aria-label={label}
  aria-valuenow={value}
  aria-valuemin="0"
  aria-valuemax={Math.max(of, 1)}
>
  <div class="bg-kelp-mid" style:width={share(value)}></div>
  <div class="bg-kelp-light" style:width={share(then)}></div>
</div>
