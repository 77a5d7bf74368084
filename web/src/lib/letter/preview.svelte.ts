import { answer, api } from '$lib/api/client';
import type { PreviewQuestion } from '$lib/api/types';
import { createQuery, keepPreviousData } from '@tanstack/svelte-query';

const PAUSE = 400;

/** A text as one person would get it, asked anew a moment after it was changed. */
export function createPreview(question: () => PreviewQuestion) {
  let asked = $state.raw<PreviewQuestion>(question());
  $effect(() => {
    const now = question();
    const timer = setTimeout(() => (asked = now), PAUSE);
    return () => clearTimeout(timer);
  });
  return createQuery(() => ({
    queryKey: ['preview', asked],
    queryFn: ({ signal }) => answer(api.POST('/api/preview', { body: asked, signal })),
    placeholderData: keepPreviousData,
    retry: false
  }));
}
