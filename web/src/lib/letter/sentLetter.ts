import { answer, api } from '$lib/api/client';

/** A message that has left, as it looked; it never changes. */
export const sentLetterQuery = (messageId: number | null) => ({
  queryKey: ['sent-letter', messageId],
  queryFn: () =>
    answer(api.GET('/api/messages/{id}/letter', { params: { path: { id: messageId ?? 0 } } })),
  enabled: messageId !== null,
  staleTime: Infinity
});
