import { answer, api, ApiProblem, guard } from '$lib/api/client';
import type { ImportState } from '$lib/api/types';

/** Sends a file, or rows that were pasted; answers the id of the import it becomes. */
export async function upload(file: Blob, name: string): Promise<number> {
  const response = await fetch(`/api/imports?name=${encodeURIComponent(name)}`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/octet-stream', [guard.header]: guard.token },
    body: file
  });
  const reply = (await response.json().catch(() => ({}))) as { id?: number; detail?: string };
  if (!response.ok || reply.id === undefined) {
    throw new ApiProblem(response.status, reply.detail ?? 'The file could not be read.', 'file');
  }
  return reply.id;
}

/** Where an import stands, with a preview of its rows, or of those of one outcome. */
export const importQuery = (id: number, outcome: string | null) => ({
  queryKey: ['import', id, outcome],
  queryFn: () =>
    answer(
      api.GET('/api/imports/{id}', {
        params: { path: { id }, query: { outcome: outcome ?? undefined } }
      })
    ),
  refetchInterval: (query: { state: { data?: ImportState } }) =>
    isMoving(query.state.data) ? 400 : (false as const)
});

/** Whether a step is under way. */
export function isMoving(state: ImportState | undefined): boolean {
  return state?.state === 'checking' || state?.state === 'running';
}

/** How a file is written, in words. */
export function formWords(state: Pick<ImportState, 'form' | 'encoding' | 'delimiter'>): string {
  if (state.form === 'vcard') return 'vCard';
  const between: Record<string, string> = {
    ',': 'commas',
    ';': 'semicolons',
    '\t': 'tabs',
    '|': 'bars'
  };
  return `${state.encoding}, ${between[state.delimiter] ?? state.delimiter} between cells`;
}
