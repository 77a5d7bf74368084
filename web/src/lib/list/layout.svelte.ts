import { answer, api } from '$lib/api/client';
import type { Layout } from '$lib/api/types';
import { notices } from '$lib/ui/notices.svelte';
import { createQuery } from '@tanstack/svelte-query';
import type { ListSearch } from './search.svelte';

/** The layout of a list: the colleague's own, kept at the server, else the usual one. */
export function useLayout(of: () => ListSearch) {
  const search = of();
  const own = createQuery(() => ({
    queryKey: ['layout', search.subject],
    queryFn: () =>
      answer(api.GET('/api/layouts/{subject}', { params: { path: { subject: search.subject } } })),
    staleTime: Infinity
  }));

  return {
    get current(): Layout {
      return { ...(search.layout ?? own.data?.layout ?? search.usual), ...search.sort };
    },
    set(layout: Layout) {
      search.layout = layout;
      search.sort = null;
      answer(
        api.PUT('/api/layouts/{subject}', {
          params: { path: { subject: search.subject } },
          body: layout
        })
      ).catch((error: unknown) => notices.fail(error));
    },
    reset() {
      this.set(search.usual);
    }
  };
}
