<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { fieldsQuery } from '$lib/api/queries';
  import type { Self } from '$lib/api/types';
  import MailLanguage from '$lib/colleague/MailLanguage.svelte';
  import LogoChoice from '$lib/picture/PictureChoice.svelte';
  import LateEditor from '$lib/editor/LateEditor.svelte';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { Input, Label } from 'flowbite-svelte';

  const queries = useQueryClient();
  const fields = createQuery(fieldsQuery);
  const query = createQuery(() => ({
    queryKey: ['self'],
    queryFn: () => answer(api.GET('/api/colleagues/me')),
    refetchOnWindowFocus: false
  }));
  let self = $state<Self | null>(null);
  let phone = $state('');
  $effect(() => {
    if (!query.data || self) return;
    self = { ...query.data, language: query.data.language ?? null };
    phone = query.data.phone ?? '';
  });

  async function save() {
    if (!self) return;
    try {
      const body = { ...$state.snapshot(self), phone: phone.trim() || null };
      queries.setQueryData(['self'], await answer(api.PUT('/api/colleagues/me', { body })));
      await session.load();
      notices.say('It is saved; messages that leave from now on carry it.');
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

<PageHead
  title="Your name and signature"
  words="Who your readers see, and what stands beneath what you write."
>
  {#snippet actions()}<HouseButton weight="main" onclick={save}>Save</HouseButton>{/snippet}
</PageHead>
{#if self && fields.data}
  <div class="panel flex max-w-3xl flex-col gap-4 p-4">
    <div class="grid grid-cols-2 gap-4 max-sm:grid-cols-1">
      <div>
        <Label for="name" class="mb-1 text-soft">Your name</Label>
        <Input id="name" bind:value={self.name} maxlength={120} autocomplete="name" />
      </div>
      <div>
        <Label for="title" class="mb-1 text-soft">What you do here</Label>
        <Input id="title" bind:value={self.title} />
      </div>
      <div>
        <Label for="phone" class="mb-1 text-soft">Your phone</Label>
        <Input id="phone" bind:value={phone} />
      </div>
      <div>
        <Label for="language" class="mb-1 text-soft">Language of mails to you</Label>
        <MailLanguage id="language" bind:language={self.language} />
      </div>
    </div>
    {#if session.may('WORK')}
      <LogoChoice bind:logoKey={self.pictureKey} words="Your picture" />
      <div class="flex min-h-56 flex-col rounded-lg border border-line">
        <LateEditor
          value={self.signature}
          fields={fields.data.merge.filter(
            (f) => f.name.startsWith('sender.') || f.name.startsWith('workspace.')
          )}
          label="Signature"
          onchange={(html) => self && (self.signature = html)}
        />
      </div>
      <p class="text-soft">
        It is put in where a message says “the sender’s signature stands here”.
      </p>
    {/if}
  </div>
{/if}
