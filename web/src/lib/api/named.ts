import { answer, api } from './client';
import type { Condition } from './types';

const NAME = ['name'];
const CALLED = ['name', 'email', 'number', 'phone'];

/** The people whose name contains some words, with a few of their fields; none for a single letter. */
export function peopleNamed(words: string, columns: string[], wanted = true) {
  return peopleWith(NAME, words, columns, wanted);
}

/** The people whose name, address or number contains some words. */
export function peopleCalled(words: string, wanted: boolean) {
  return peopleWith(CALLED, words, [], wanted);
}

function peopleWith(fields: string[], words: string, columns: string[], wanted: boolean) {
  const sought = words.trim();
  const conditions = fields.map((field) => ({
    field,
    operator: 'CONTAINS' as const,
    values: [sought]
  }));
  return {
    queryKey: ['people-named', fields, sought, columns],
    queryFn: ({ signal }: { signal: AbortSignal }) => page(conditions, columns, signal),
    enabled: wanted && sought.length > 1
  };
}

/** The first page of those on record of whom one of some conditions holds; of all where there is none. */
function page(conditions: Condition[], columns: string[], signal: AbortSignal) {
  const match = conditions.length ? ('ANY' as const) : ('ALL' as const);
  return answer(
    api.POST('/api/people/page', {
      signal,
      body: {
        who: {
          filter: { match, conditions, related: [], groups: [] },
          reach: null,
          picks: null,
          leftOut: null,
          archived: false
        },
        columns,
        sortBy: null,
        descending: false,
        after: null
      }
    })
  );
}

/** Anybody on record, to show what somebody would get. */
export function anybodyQuery(wanted: boolean) {
  return {
    queryKey: ['people-named', 'anybody'],
    queryFn: ({ signal }: { signal: AbortSignal }) => page([], [], signal),
    enabled: wanted
  };
}
