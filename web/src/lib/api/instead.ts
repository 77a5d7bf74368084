import { ApiProblem } from './client';

/**
 * The trouble to show in place of what was asked for, or nothing. What is on the screen stays when
 * asking for it once more fails, since somebody may be typing in it; what is gone does not.
 */
export function instead(query: { data: unknown; error: unknown }): unknown {
  if (!query.error) return null;
  const gone = query.error instanceof ApiProblem && query.error.status === 404;
  return query.data === undefined || gone ? query.error : null;
}
