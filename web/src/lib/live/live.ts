import type { QueryClient } from '@tanstack/svelte-query';

/** How often what the server tells of is asked for all the same, should its word not get through. */
export const UNTOLD = 15_000;

/** The questions whose answers change with a subject, by the first word of their keys. */
const ASKED: Record<string, string[]> = {
  outbox: [
    'outbox',
    'outbox-tally',
    'letters',
    'summary',
    'run',
    'counts',
    'mailings',
    'desk',
    'conversation',
    'rules',
    'series',
    'series-people'
  ],
  responses: [
    'summary',
    'responses',
    'standing',
    'between',
    'between-all',
    'latest',
    'conversation',
    'unplaced',
    'rules',
    'series',
    'series-people',
    'counts',
    'desk'
  ],
  mailings: ['mailings', 'run', 'counts', 'desk', 'nod'],
  tasks: ['counts', 'desk', 'record-tally', 'record-page']
};

/** The keys to ask anew when the server names these subjects. */
export function keysOf(words: string): string[] {
  const subjects = words === 'everything' ? Object.keys(ASKED) : words.split(' ');
  return [...new Set(subjects.flatMap((s) => ASKED[s] ?? []))];
}

/**
 * Asks anew whatever the server says has changed, as long as the page can be seen: a browser allows
 * a host few connections, which hidden pages shall not hold.
 */
export function listen(queries: QueryClient): () => void {
  let source: EventSource | null = null;

  function open() {
    if (source || document.hidden) return;
    source = new EventSource('/api/live');
    source.onmessage = (event: MessageEvent<string>) => {
      for (const key of keysOf(event.data)) {
        void queries.invalidateQueries({ queryKey: [key] });
      }
    };
  }

  function close() {
    source?.close();
    source = null;
  }

  const turn = () => (document.hidden ? close() : open());
  document.addEventListener('visibilitychange', turn);
  open();
  return () => {
    document.removeEventListener('visibilitychange', turn);
    close();
  };
}
