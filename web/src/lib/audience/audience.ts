import type { ShownPart, Filter } from '$lib/api/types';

/** The people of a list, as a filter. */
export function listFilter(name: string): Filter {
  return {
    match: 'ALL',
    conditions: [{ field: 'list', operator: 'HAS_ANY', values: [name] }],
    related: [],
    groups: []
  };
}

/** The audience in words: "Members not seen lately, and 3 picked by hand, without Committee". */
export function audienceWords(parts: ShownPart[], picks: number, without: ShownPart[]): string {
  const who = parts.map((p) => p.words);
  if (picks) who.push(`${picks.toLocaleString('en-GB')} picked by hand`);
  const left = without.map((p) => p.words).join(' and ');
  return (who.join(', and ') || 'Nobody yet') + (left ? `, without ${left}` : '');
}
