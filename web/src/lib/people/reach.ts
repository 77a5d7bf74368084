import type { Filter, Reach } from '$lib/api/types';
import type { TallyPart } from '$lib/ui/Tally.svelte';

/** Those of a filter who can be reached by a way, as people read it. */
export function reachedBy(way: string, filter: Filter): Filter {
  return {
    match: 'ALL',
    conditions: [{ field: 'reached_by', operator: 'HAS_ANY', values: [way] }],
    related: [],
    groups: [filter]
  };
}

interface ReachCount {
  reach: Reach;
  words: string;
  people: number;
}

/** The tally of people: who can be written to first, each reason why not, and all together. */
export function reachParts(parts: ReachCount[], total: number): TallyPart[] {
  const ready = parts.filter((p) => p.reach === 'READY');
  const others = parts.filter((p) => p.reach !== 'READY');
  return [
    ...[...ready, ...others].map((p): TallyPart => ({
      key: p.reach,
      count: p.people,
      words: p.words,
      tone: p.reach === 'READY' ? 'good' : 'off'
    })),
    { key: 'all', count: total, words: 'match in all', tone: 'open', sum: true }
  ];
}
