<script lang="ts">
  import { goto } from '$app/navigation';
  import { encodings, upload } from '$lib/exchange/steps';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import Panel from '$lib/ui/Panel.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { Textarea } from 'flowbite-svelte';

  const example = 'First name\tLast name\tE-mail\nBea\tOkonjo\tbea@okonjo.example';
  let pasted = $state('');
  let encoding = $state('');
  let busy = $state(false);
  let over = $state(false);
  let chooser: HTMLInputElement;

  async function read(file: Blob, name: string, written = '') {
    busy = true;
    try {
      await goto(`/people/import/${await upload(file, name, written)}`);
    } catch (error) {
      notices.fail(error);
    } finally {
      busy = false;
    }
  }

  function drop(event: DragEvent) {
    event.preventDefault();
    over = false;
    const file = event.dataTransfer?.files[0];
    if (file) void read(file, file.name, encoding);
  }
</script>

<PageHead title="Import people" words="A file of people, or rows copied from a spreadsheet." />
<div class="grid grid-cols-2 gap-3.5 max-lg:grid-cols-1">
  <Panel title="From a file">
    <div
      role="group"
      aria-label="Drop a file here"
      class={`m-3.5 flex min-h-52 flex-col items-center justify-center gap-3 rounded-lg border border-dashed p-6 text-center ${over ? 'border-kelp bg-kelp-pale' : 'border-line'}`}
      ondragover={(event) => {
        event.preventDefault();
        over = true;
      }}
      ondragleave={() => (over = false)}
      ondrop={drop}
    >
      <p>Drop a CSV or vCard file here, or</p>
      <HouseButton weight="main" onclick={() => chooser.click()} disabled={busy}
        >{busy ? 'Reading…' : 'Choose a file'}</HouseButton
      >
      <input
        bind:this={chooser}
        type="file"
        class="sr-only"
        tabindex="-1"
        aria-label="A CSV or vCard file"
        accept=".csv,.tsv,.txt,.vcf,text/csv,text/vcard"
        onchange={(event) => {
          const file = event.currentTarget.files?.[0];
          if (file) void read(file, file.name, encoding);
        }}
      />
      <p class="text-[0.87rem] text-soft">
        Any delimiter, up to 200 MB. Nothing is changed before you have seen what would be.
      </p>
      <label class="flex flex-wrap items-center justify-center gap-2 text-[0.87rem] text-soft">
        If letters come out wrong, say how it is written
        <select class="rounded-lg border-line bg-card py-1 text-[0.87rem]" bind:value={encoding}>
          {#each encodings as { name, words } (name)}<option value={name}>{words}</option>{/each}
        </select>
      </label>
    </div>
  </Panel>
  <Panel title="Pasted">
    <form
      class="flex flex-col gap-3 p-3.5"
      onsubmit={(event) => {
        event.preventDefault();
        void read(new Blob([pasted]), 'pasted rows');
      }}
    >
      <Textarea
        bind:value={pasted}
        rows={8}
        aria-label="Rows with their headers"
        placeholder={example}
        class="w-full font-mono text-[0.87rem]"
      />
      <div>
        <HouseButton type="submit" disabled={busy || !pasted.trim()}>Read these rows</HouseButton>
      </div>
    </form>
  </Panel>
</div>
