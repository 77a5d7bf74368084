<script lang="ts">
  import { encode } from 'uqr';

  interface Props {
    text: string;
    label: string;
  }

  let { text, label }: Props = $props();
  const square = $derived(encode(text, { ecc: 'M', border: 4 }));
  const path = $derived(
    square.data
      .flatMap((row, y) => row.flatMap((dark, x) => (dark ? [`M${x} ${y}h1v1h-1z`] : [])))
      .join('')
  );
</script>

<!-- Black on white whatever the screen's colours: cameras read it so. -->
<svg
  class="h-44 w-44 flex-none rounded-lg border border-line bg-white"
  viewBox={`0 0 ${square.size} ${square.size}`}
  role="img"
  aria-label={label}
  shape-rendering="crispEdges"
>
  <path d={path} fill="#000" />
</svg>
