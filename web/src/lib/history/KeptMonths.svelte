<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { Sending } from '$lib/ui/sending.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  interface Props {
    onchanged: () => void;
  }

  let { onchanged }: Props = $props();
  const query = createQuery(() => ({
    queryKey: ['history-kept'],
    queryFn: () => answer(api.GET('/api/history/kept')),
    refetchOnWindowFocus: false
  }));
  const sending = new Sending();
  let months = $state<number | null>(null);
  const shown = $derived(months ?? query.data?.months ?? 24);

  const keep = (event: SubmitEvent) =>
    sending.send(event, async () => {
      await answer(api.PUT('/api/history/kept', { body: { months: shown } }));
      notices.say(`What is older than ${shown} months is forgotten from now on.`);
      months = null;
      await query.refetch();
      onchanged();
    });
</script>

<form class="flex flex-wrap items-center gap-2" onsubmit={keep}>
  <label class="flex items-center gap-2">
    Kept for
    <input
      type="number"
      class="w-20 rounded-lg border-line bg-card px-2 py-1"
      min="1"
      max="120"
      required
      value={shown}
      oninput={(e) => (months = e.currentTarget.valueAsNumber)}
    />
    months
  </label>
  {#if months !== null && months !== query.data?.months}
    <HouseButton type="submit" disabled={sending.busy}>Keep so long</HouseButton>
  {/if}
  {#if sending.of('months')}<span class="text-brick" role="alert">{sending.of('months')}</span>{/if}
  <span class="text-soft">changes of people stay in their own history</span>
</form>
