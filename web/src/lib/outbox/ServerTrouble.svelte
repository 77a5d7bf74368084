<script lang="ts">
  import type { ServerTrouble } from '$lib/api/types';
  import { dayAndTime } from '$lib/format/dates';
  import { session } from '$lib/session/session.svelte';

  interface Props {
    trouble: ServerTrouble;
  }

  let { trouble }: Props = $props();
</script>

<div class="panel flex-none bg-brick-pale px-4 py-3" role="alert">
  <p class="font-semibold">
    Nothing leaves: the mail server cannot be used since {dayAndTime(trouble.since, session.zone)}.
  </p>
  <p class="break-words">{trouble.words}</p>
  <p class="text-soft">
    Nothing is lost. It is tried again every few seconds, last {dayAndTime(
      trouble.triedAt,
      session.zone
    )}.
    <a class="font-semibold text-kelp hover:underline" href="/settings/mail">
      Test the connection step by step
    </a>
  </p>
</div>
