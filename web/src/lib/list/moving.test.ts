import type { ListRow } from '$lib/api/types';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { after, move, pick, pickAtCursor } from './moving';
import { searches } from './search.svelte';
import { isPicked, nobody, pickedCount, takeAll } from './selection';

const search = searches.events;
const row = (id: number, reach: ListRow['reach'] = 'READY'): ListRow => ({
  id,
  personId: id,
  name: `Person ${id}`,
  reach,
  key: `person ${id}`,
  cells: []
});
const rows = [row(7), row(3), row(9), row(4, 'NO_ADDRESS')];

beforeEach(() => {
  vi.stubGlobal('document', { getElementById: () => null });
  search.selection = nobody;
  search.cursor = null;
});

describe('going through a list', () => {
  it('begins at the first row and stays within the list', () => {
    move(search, rows, 1);
    expect(search.cursor).toBe(7);
    move(search, rows, -1);
    expect(search.cursor).toBe(7);
    move(search, rows, 10);
    expect(search.cursor).toBe(4);
    move(search, [], 1);
    expect(search.cursor).toBe(4);
  });
  it('picks the row that has the cursor, and lets it go', () => {
    pickAtCursor(search, rows);
    expect(pickedCount(search.selection, 4)).toBe(0);
    search.cursor = 9;
    pickAtCursor(search, rows);
    expect(isPicked(search.selection, 9)).toBe(true);
    pickAtCursor(search, rows);
    expect(isPicked(search.selection, 9)).toBe(false);
  });
  it('picks a range from the cursor, in the order of the list', () => {
    search.cursor = 3;
    pick(search, rows, row(4, 'NO_ADDRESS'), true);
    expect([...search.selection.picked]).toEqual([3, 9, 4]);
    expect(search.cursor).toBe(4);
  });
  it('lets one go of all that were taken', () => {
    search.selection = takeAll();
    pick(search, rows, row(3), false);
    expect(isPicked(search.selection, 3)).toBe(false);
    expect(isPicked(search.selection, 7)).toBe(true);
    expect(pickedCount(search.selection, 926)).toBe(925);
  });
});

describe('the next page', () => {
  it('begins after the last row of a full one', () => {
    const full = Array.from({ length: 100 }, (_, i) => row(i));
    expect(after(full)).toEqual({ key: 'person 99', id: 99 });
    expect(after(full.slice(1))).toBeUndefined();
    expect(after([])).toBeUndefined();
  });
});
