import { answer, api } from './client';

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
  return {
    queryKey: ['people-named', fields, sought, columns],
    queryFn: ({ signal }: { signal: AbortSignal }) =>
      answer(
        api.POST('/api/people/page', {
          signal,
          body: {
            who: {
              filter: {
                match: 'ANY' as const,
                conditions: fields.map((field) => ({
                  field,
                  operator: 'CONTAINS' as const,
                  values: [sought]
                })),
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
