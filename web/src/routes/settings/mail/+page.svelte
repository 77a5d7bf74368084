<script lang="ts">
  import { session } from '$lib/session/session.svelte';
  import DomainRecords from '$lib/service/DomainRecords.svelte';
  import MailTrial from '$lib/service/MailTrial.svelte';
  import ServicePanel from '$lib/service/ServicePanel.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';

  const mayChange = $derived(session.may('SETTINGS'));
</script>

<PageHead
  title="Mail"
  words={mayChange
    ? 'What mails leave through, and where replies arrive.'
    : session.why('SETTINGS')}
/>
<div class="grid grid-cols-2 items-start gap-3 max-xl:grid-cols-1">
  <div class="flex min-w-0 flex-col gap-3">
    <ServicePanel
      kind="MAIL_SERVER"
      title="Mail server"
      words="Every mail leaves through it. Whoever runs your mail knows these."
      {mayChange}
    />
    <ServicePanel
      kind="MAILBOX"
      title="Mailbox"
      words="Replies and what cannot be delivered arrive here, and are read from here."
      {mayChange}
    />
  </div>
  {#if mayChange}
    <div class="flex min-w-0 flex-col gap-3">
      <MailTrial />
      <DomainRecords />
    </div>
  {/if}
</div>
