import type { Filter } from '$lib/api/types';

/** Whoever holds an office of a group today. */
export function holdersOf(group: string): Filter {
  const where: Filter = {
    match: 'ALL',
    conditions: [
      { field: 'group', operator: 'ANY_OF', values: [group] },
      { field: 'held', operator: 'YES', values: [] }
    ],
    related: [],
    groups: []
  };
  return {
    match: 'ALL',
    conditions: [],
    related: [{ kind: 'OFFICE', atLeast: 1, where }],
    groups: []
  };
}
