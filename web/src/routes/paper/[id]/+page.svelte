<script lang="ts">
  import { page } from '$app/state';
  import RunScreen from '$lib/paper/RunScreen.svelte';

  const id = $derived(Number(page.params.id));
</script>

{#key id}<RunScreen {id} />{/key}
