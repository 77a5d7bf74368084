<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { BegunFactor } from '$lib/api/types';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { Sending } from '$lib/ui/sending.svelte';
  import CodeField from './CodeField.svelte';
  import OwnPassword from './OwnPassword.svelte';
  import Square from './Square.svelte';

  interface Props {
    /** It is set up; these are shown once. */
    onset: (codes: string[]) => void;
  }

  let { onset }: Props = $props();
  const sending = new Sending();
  let password = $state('');
  let code = $state('');
  let begun = $state.raw<BegunFactor | null>(null);

  const begin = (event: SubmitEvent) =>
    sending.send(event, async () => {
      begun = await answer(api.POST('/api/colleagues/me/second-factor', { body: { password } }));
    });

  const confirm = (event: SubmitEvent) =>
    sending.send(event, async () => {
      const made = await answer(api.PUT('/api/colleagues/me/second-factor', { body: { code } }));
      onset(made.codes);
    });
</script>

{#if begun}
  <form class="flex flex-col gap-4" onsubmit={confirm}>
    <div class="flex flex-wrap items-center gap-4">
      <Square text={begun.uri} label="What your app reads" />
      <div class="min-w-52 flex-1">
        <p>Let an app for one-time codes read this, or type into it:</p>
        <p class="mt-2 font-mono text-[0.93rem]" data-secret>
          {begun.typed.match(/.{1,4}/g)?.join(' ')}
        </p>
      </div>
    </div>
    <div class="max-w-60">
      <CodeField bind:code wrong={sending.of('code')} hint="The six digits it shows then." />
    </div>
    <HouseButton weight="main" type="submit" class="self-start" disabled={sending.busy}
      >Ask for it from now on</HouseButton
    >
  </form>
{:else}
  <form class="flex max-w-md flex-col gap-3" onsubmit={begin}>
    <p>Beside your password, an app shows a code of six digits that is new every half minute.</p>
    <OwnPassword bind:password wrong={sending.of('password')} />
    <HouseButton weight="main" type="submit" class="self-start" disabled={sending.busy}
      >Set it up</HouseButton
    >
  </form>
{/if}
