import { answer, api, send } from '$lib/api/client';
import type { ImportState } from '$lib/api/types';

/** Sends a file, or rows that were pasted; answers the id of the import it becomes. */
export async function upload(file: Blob, name: string): Promise<number> {
  const path = `/api/imports?name=${encodeURIComponent(name)}`;
  const response = await send(path, 'application/octet-stream', file);
  return ((await response.json()) as { id: number }).id;
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
