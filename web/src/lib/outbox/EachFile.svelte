<script lang="ts">
  import Popup from '$lib/ui/Popup.svelte';
  import { Input, Label } from 'flowbite-svelte';

  interface Props {
    runId: number;
  }

  let { runId }: Props = $props();
  let open = $state(false);
  let names = $state('{{last_name}} {{first_name}}');
  const path = $derived(`/api/letter-runs/${runId}/each?names=${encodeURIComponent(names)}`);
</script>

<Popup bind:open label="A file for each letter">
  {#snippet trigger(toggle)}
    <button type="button" class="text-kelp hover:underline" aria-expanded={open} onclick={toggle}
      >A file for each</button
    >
  {/snippet}
  <div class="w-72">
    <Label for={`names-${runId}`} class="mb-1 text-soft">Each is called</Label>
    <Input id={`names-${runId}`} size="sm" bind:value={names} maxlength={200} />
    <p class="mt-2">
      <a
        class="font-semibold text-kelp hover:underline"
        href={path}
        download={`letters-${runId}.zip`}
        onclick={() => (open = false)}>Download all in one .zip</a
      >
    </p>
  </div>
</Popup>
