import { answer, api } from './client';

/** The people whose name contains some words, with a few of their fields; none for a single letter. */
export function peopleNamed(words: string, columns: string[], wanted = true) {
  const sought = words.trim();
  return {
    queryKey: ['people-named', sought, columns],
    queryFn: ({ signal }: { signal: AbortSignal }) =>
      answer(
        api.POST('/api/people/page', {
          signal,
          body: {
            who: {
              filter: {
                match: 'ALL' as const,
                conditions: [{ field: 'name', operator: 'CONTAINS' as const, values: [sought] }],
                related: [],
                groups: []
              },
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
      ),
    enabled: wanted && sought.length > 1
  };
}
