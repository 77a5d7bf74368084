import type { ListRow } from '$lib/api/types';
import type { ListSearch } from './search.svelte';
import { between, isPicked, withRows } from './selection';

/** Moves the cursor up or down the rows that are shown. */
export function move(search: ListSearch, rows: ListRow[], step: number) {
  const at = rows.findIndex((r) => r.id === search.cursor);
  const next = rows[Math.max(0, Math.min(rows.length - 1, at + step))];
  if (!next) return;
  search.cursor = next.id;
}

/** Picks a row or lets it go; with a range, all from the cursor to it. */
export function pick(search: ListSearch, rows: ListRow[], row: ListRow, range: boolean) {
  const on = !isPicked(search.selection, row.id, row.reach);
  const ids =
    range && search.cursor !== null
      ? between(
          rows.map((r) => r.id),
          search.cursor,
          row.id
        )
      : [row.id];
  search.selection = withRows(search.selection, ids, on);
  search.cursor = row.id;
}

/** From what was typed to the list it found, where no row has the cursor yet. */
export function toList(list: HTMLElement | undefined) {
  list?.focus();
}

/** Picks the row that has the cursor, or lets it go. */
export function pickAtCursor(search: ListSearch, rows: ListRow[]) {
  const row = rows.find((r) => r.id === search.cursor);
  if (row) pick(search, rows, row, false);
}

/** Moves the cursor and picks the row it comes to, with the one it comes from. */
function pickOn(search: ListSearch, rows: ListRow[], step: number) {
  const from = search.cursor ?? rows[0]?.id;
  move(search, rows, step);
  const ids = [from, search.cursor].filter((id) => id !== undefined && id !== null);
  search.selection = withRows(search.selection, ids, true);
}

/**
 * The keys of every list: arrows move, Space picks, Shift with an arrow picks on.
 *
 * @param rows those of the list that is asked for; none while it is on its way, so that no key
 *   touches a row of the list before
 */
export function listKeys(search: ListSearch, rows: () => ListRow[]): Record<string, () => void> {
  return {
    ArrowDown: () => move(search, rows(), 1),
    ArrowUp: () => move(search, rows(), -1),
    'Shift+ArrowDown': () => pickOn(search, rows(), 1),
    'Shift+ArrowUp': () => pickOn(search, rows(), -1),
    Space: () => pickAtCursor(search, rows())
  };
}

/** Where the next page begins; nothing when the last one was not full. */
export function after(last: ListRow[]): { key: string | null; id: number } | undefined {
  const end = last.length === 100 ? last[99] : undefined;
  return end ? { key: end.key, id: end.id } : undefined;
}
