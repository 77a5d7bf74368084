import type { Filter } from '$lib/api/types';

/** What a list shows, as its address says it. */
export interface Shown {
  filter: Filter;
  part: string | null;
  archived: boolean;
  sortBy: string | null;
  descending: boolean;
}

/** Where the filter stands in an address: as the server reads filters, in JSON. */
const FILTER = 'show';

/** The query of an address that shows this again. */
export function queryOf(shown: Shown): string {
  const query = new URLSearchParams({ [FILTER]: JSON.stringify(slim(shown.filter)) });
  if (shown.sortBy) query.set('sort', (shown.descending ? '-' : '') + shown.sortBy);
  else if (shown.descending) query.set('sort', '-');
  if (shown.part) query.set('part', shown.part);
  if (shown.archived) query.set('archived', '1');
  return query.toString();
}

/** What an address shows; null when it says nothing, or nothing sensible. */
export function shownBy(query: URLSearchParams): Shown | null {
  const filter = readFilter(query.get(FILTER));
  if (!filter) return null;
  const sort = query.get('sort') ?? '';
  return {
    filter,
    part: query.get('part'),
    archived: query.get('archived') === '1',
    sortBy: sort.replace(/^-/, '') || null,
    descending: sort.startsWith('-')
  };
}

/** Without what is empty, so that addresses stay short. */
function slim(filter: Filter): Partial<Filter> {
  const { match, conditions, related, groups } = filter;
  return {
    match,
    ...(conditions.length ? { conditions } : {}),
    ...(related?.length ? { related } : {}),
    ...(groups.length ? { groups } : {})
  };
}

function readFilter(json: string | null): Filter | null {
  try {
    return json === null ? null : sound(JSON.parse(json));
  } catch {
    return null;
  }
}

/** The shape alone is looked at here; what fields there are the server knows. */
function sound(read: unknown, depth = 0): Filter {
  const filter = read as Partial<Filter>;
  const { match, conditions = [], related = [], groups = [] } = filter;
  if (depth > 8 || !match || !['ALL', 'ANY', 'NONE'].includes(match)) throw new Error('no filter');
  return {
    match,
    conditions: conditions.map(({ field, operator, values }) => ({
      field: String(field),
      operator,
      values: (values ?? []).map(String)
    })),
    related: (related ?? []).map(({ kind, atLeast, where }) => ({
      kind,
      atLeast,
      where: sound(where, depth + 1)
    })),
    groups: groups.map((group) => sound(group, depth + 1))
  };
}
