import { ApiProblem } from '$lib/api/client';
import type { CheckResult } from '$lib/api/types';
import { lines } from '$lib/people/tally';

interface CheckLine {
  checked: number;
  of: number;
  result: CheckResult | null;
}

/**
 * Looks at everyone of a mailing, or lays all its letters on their pages, telling how far it has
 * come. To stop reading ends it at the server.
 */
export async function watchCheck(
  mailing: number,
  signal: AbortSignal,
  tell: (checked: number, of: number) => void,
  what: 'watch' | 'paper' = 'watch'
): Promise<CheckResult> {
  const response = await fetch(`/api/mailings/${mailing}/check/${what}`, { signal }).catch(
    (lost: unknown) => {
      if (lost instanceof DOMException && lost.name === 'AbortError') throw lost;
      throw new ApiProblem(0, 'Jemble cannot be reached; the check is asked again later.', '');
    }
  );
  if (!response.ok || !response.body) {
    throw new ApiProblem(response.status, 'The check could not be made.', '');
  }
  for await (const line of lines(response.body)) {
    const told = JSON.parse(line) as CheckLine;
    if (told.result) return told.result;
    tell(told.checked, told.of);
  }
  throw new ApiProblem(0, 'The check broke off; it is asked again with the next change.', '');
}
