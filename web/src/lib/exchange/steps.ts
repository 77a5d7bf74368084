import { answer, api, send } from '$lib/api/client';
import type { ImportState } from '$lib/api/types';

/** A column that holds a whole address: it is parted as the rows are read. */
export const WHOLE_ADDRESS = { value: 'address.lines', name: 'Postal address, all in one' };

/** How a file may be written, for whoever knows it better than the file says. */
export const encodings = [
  { name: '', words: 'as the file itself says' },
  { name: 'UTF-8', words: 'UTF-8' },
  { name: 'UTF-16LE', words: 'UTF-16, little end first' },
  { name: 'UTF-16BE', words: 'UTF-16, big end first' },
  { name: 'windows-1252', words: 'Western Europe (Windows-1252)' },
  { name: 'ISO-8859-15', words: 'Western Europe (ISO 8859-15)' },
  { name: 'windows-1250', words: 'Central Europe (Windows-1250)' },
  { name: 'ISO-8859-2', words: 'Central Europe (ISO 8859-2)' },
  { name: 'windows-1251', words: 'Cyrillic (Windows-1251)' },
  { name: 'windows-1253', words: 'Greek (Windows-1253)' },
  { name: 'windows-1254', words: 'Turkish (Windows-1254)' },
  { name: 'windows-1257', words: 'Baltic (Windows-1257)' },
  { name: 'x-MacRoman', words: 'an old Macintosh' },
  { name: 'Shift_JIS', words: 'Japanese (Shift JIS)' },
  { name: 'GB18030', words: 'Chinese (GB 18030)' }
];

/**
 * Sends a file, or rows that were pasted; answers the id of the import it becomes.
 *
 * @param encoding one of the above; empty where the file itself says it
 */
export async function upload(file: Blob, name: string, encoding = ''): Promise<number> {
  const written = encoding ? `&encoding=${encodeURIComponent(encoding)}` : '';
  const path = `/api/imports?name=${encodeURIComponent(name)}${written}`;
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
