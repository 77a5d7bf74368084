import type { Condition } from '$lib/api/types';
import type { FilterDraft } from './draft';

/** Whose tasks, and of which kind, are looked at with one click. */
export interface Side {
  name: string;
  conditions: Condition[];
}

const open: Condition = { field: 'done', operator: 'NO', values: [] };
const mine: Condition = { field: 'owner', operator: 'IS_ME', values: [] };
const kind = (word: string): Condition => ({ field: 'kind', operator: 'ANY_OF', values: [word] });

export const MINE: Side = { name: 'Mine', conditions: [mine, open] };

/** Kinds of tasks beyond these are asked for by a filter: there is no room for more. */
const MOST_KINDS = 5;

/** The sides of a house with these kinds of tasks. */
export function sides(kinds: string[]): Side[] {
  return [
    MINE,
    ...kinds
      .slice(0, MOST_KINDS)
      .map((word) => ({ name: `Mine: ${word}`, conditions: [mine, open, kind(word)] })),
    { name: 'Of all colleagues', conditions: [open] },
    { name: 'Done too', conditions: [] }
  ];
}

/** What is looked for on a side. */
export function draftOf(side: Side): FilterDraft {
  const parts = side.conditions.map((condition) => ({ is: 'condition' as const, condition }));
  return { kinds: [], match: 'ALL', parts };
}

/** The side that this is; null when somebody has asked for something else. */
export function sideOf(draft: FilterDraft, all: Side[]): Side | null {
  const conditions = draft.parts.flatMap((p) => (p.is === 'condition' ? [p.condition] : []));
  if (draft.kinds.length || conditions.length !== draft.parts.length) return null;
  const key = (asked: Condition[]) =>
    asked
      .map((c) => `${c.field} ${c.operator} ${c.values.join(',')}`)
      .sort()
      .join(';');
  return all.find((side) => key(side.conditions) === key(conditions)) ?? null;
}
