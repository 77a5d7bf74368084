import type { Filter, Reach, SelectionBody } from '$lib/api/types';

/** Who or what is picked: some by hand, or all that match less those let go. */
export interface Selection {
  all: boolean;
  /** With all: only people of this reach; null for whatever matches. */
  reach: Reach | null;
  picked: ReadonlySet<number>;
  dropped: ReadonlySet<number>;
}

export const nobody: Selection = {
  all: false,
  reach: null,
  picked: new Set(),
  dropped: new Set()
};

/** Everybody who matches, of one reach when one is given. */
export function takeAll(reach: Reach | null = null): Selection {
  return { ...nobody, all: true, reach };
}

/** These alone. */
export function onlyThese(ids: number[]): Selection {
  return { ...nobody, picked: new Set(ids) };
}

/** Whether a row is picked; reach is that of its person. */
export function isPicked(selection: Selection, id: number, reach: Reach | null = null): boolean {
  if (!selection.all) return selection.picked.has(id);
  return !selection.dropped.has(id) && (!selection.reach || selection.reach === reach);
}

/** How many are picked, when so many match (of the selection's reach). */
export function pickedCount(selection: Selection, matching: number): number {
  return selection.all ? Math.max(0, matching - selection.dropped.size) : selection.picked.size;
}

/** The selection with these picked, or let go. */
export function withRows(selection: Selection, ids: number[], picked: boolean): Selection {
  if (selection.all) {
    const dropped = new Set(selection.dropped);
    ids.forEach((id) => (picked ? dropped.delete(id) : dropped.add(id)));
    return { ...selection, dropped };
  }
  const now = new Set(selection.picked);
  ids.forEach((id) => (picked ? now.add(id) : now.delete(id)));
  return { ...selection, picked: now };
}

/** All ids from one to another in the order of the list, both counted in. */
export function between(order: number[], from: number, to: number): number[] {
  const a = order.indexOf(from);
  const b = order.indexOf(to);
  if (a < 0 || b < 0) return [to];
  return order.slice(Math.min(a, b), Math.max(a, b) + 1);
}

const all: Filter = { match: 'ALL', conditions: [], related: [], groups: [] };

/** The selection as the server is told it. */
export function toBody(selection: Selection, filter: Filter, archived = false): SelectionBody {
  if (selection.all) {
    const dropped = [...selection.dropped];
    return {
      filter,
      reach: selection.reach,
      picks: null,
      leftOut: dropped.length ? dropped : null,
      archived
    };
  }
  return { filter: all, reach: null, picks: [...selection.picked], leftOut: null, archived };
}
