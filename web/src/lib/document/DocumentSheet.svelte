<script lang="ts">
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { fetched } from './fetched';

  interface Props {
    /** Where the document lies (.docx). */
    path: string;
    /** Asked anew when this is another. */
    mark: string;
    /** What it is, for those who cannot see it. */
    label: string;
  }

  let { path, mark, label }: Props = $props();
  const file = createQuery(() => ({
    queryKey: ['document-sheet', path, mark],
    queryFn: ({ signal }) => fetched(path, signal),
    staleTime: Infinity,
    gcTime: 60_000
  }));

  /** Nothing in the frame can run; what is laid out there does not touch this page. */
  const PAGE =
    '<!doctype html><style>body{margin:0;background:transparent}section.docx{margin:0 auto 12px!important;' +
    'background:#fff;box-shadow:none!important;border:1px solid #d9d5cb;max-width:100%;' +
    'box-sizing:border-box;overflow-wrap:anywhere}</style><body></body>';

  let frame = $state<HTMLIFrameElement>();
  let ready = $state(false);
  let failed = $state(false);

  async function lay(document: Document, blob: Blob) {
    const { renderAsync } = await import('docx-preview');
    const styles = document.createElement('div');
    const body = document.createElement('div');
    await renderAsync(blob, body, styles, {
      inWrapper: false,
      useBase64URL: true,
      renderAltChunks: false,
      ignoreLastRenderedPageBreak: true
    });
    document.body.replaceChildren(styles, body);
  }

  $effect(() => {
    const inside = ready ? frame?.contentDocument : null;
    if (inside && file.data) {
      lay(inside, file.data).then(
        () => (failed = false),
        () => (failed = true)
      );
    }
  });
</script>

{#if file.error}
  <Trouble error={file.error} onretry={() => file.refetch()} />
{/if}
{#if failed}
  <p class="text-soft" role="status">It cannot be shown here; download it to look at it.</p>
{/if}
<iframe
  bind:this={frame}
  class="mt-1 min-h-0 w-full flex-1 rounded-md bg-shade p-2"
  title={label}
  sandbox="allow-same-origin"
  srcdoc={PAGE}
  onload={() => (ready = true)}
  data-proof-document
></iframe>
