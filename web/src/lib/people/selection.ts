/** Who is picked: some by hand, or all who can be written to less those let go. */
export interface Selection {
  all: boolean;
  picked: ReadonlySet<number>;
  dropped: ReadonlySet<number>;
}

export const nobody: Selection = { all: false, picked: new Set(), dropped: new Set() };

export const takeAll: Selection = { all: true, picked: new Set(), dropped: new Set() };

export function isPicked(selection: Selection, id: number): boolean {
  return selection.all ? !selection.dropped.has(id) : selection.picked.has(id);
}

/** How many are picked, when so many can be written to. */
export function pickedCount(selection: Selection, ready: number): number {
  return selection.all ? Math.max(0, ready - selection.dropped.size) : selection.picked.size;
}

/** The selection with these people picked, or let go. */
export function withPeople(selection: Selection, ids: number[], picked: boolean): Selection {
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
