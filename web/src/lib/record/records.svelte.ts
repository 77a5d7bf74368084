import { answer, api } from '$lib/api/client';
import type { Filter, Layout } from '$lib/api/types';
import { after } from '$lib/list/moving';
import { takeAll, toBody } from '$lib/list/selection';
import { createInfiniteQuery, createQuery, keepPreviousData } from '@tanstack/svelte-query';

/** What is asked of quotes, tasks or events. */
interface Asked {
  many: 'quotes' | 'tasks' | 'events';
  /** What is looked for, and the same within the part of the tally that alone is listed. */
  asked: Filter;
  filter: Filter;
  layout: Layout;
  enabled: boolean;
}

/** The tally of all that match, and the rows of those that are listed. */
export function useRecords(of: () => Asked) {
  const tally = createQuery(() => {
    const { many, asked, enabled } = of();
    return {
      queryKey: ['record-tally', many, asked],
      queryFn: ({ signal }: { signal: AbortSignal }) =>
        answer(
          api.POST('/api/records/{many}/tally', {
            params: { path: { many } },
            body: toBody(takeAll(), asked),
            signal
          })
        ),
      placeholderData: keepPreviousData,
      enabled
    };
  });
  const list = createInfiniteQuery(() => {
    const { many, filter, layout, enabled } = of();
    const { columns, sortBy, descending } = layout;
    return {
      queryKey: ['record-page', many, filter, columns, sortBy, descending],
      queryFn: ({ pageParam, signal }) =>
        answer(
          api.POST('/api/records/{many}/page', {
            params: { path: { many } },
            body: {
              which: toBody(takeAll(), filter),
              columns,
              sortBy,
              descending,
              after: pageParam
            },
            signal
          })
        ),
      initialPageParam: null as { key: string | null; id: number } | null,
      getNextPageParam: after,
      placeholderData: keepPreviousData,
      enabled
    };
  });
  return { tally, list };
}
