import { ApiProblem } from '$lib/api/client';
import type { Look } from '$lib/api/types';
import { lines } from '$lib/people/tally';

interface LookLine {
  looked: number;
  of: number;
  look: Look | null;
}

/** Looks at everyone of a mailing, telling how far it has come. */
export async function watchLook(
  mailing: number,
  signal: AbortSignal,
  tell: (looked: number, of: number) => void
): Promise<Look> {
  const response = await fetch(`/api/mailings/${mailing}/look/watch`, { signal }).catch(
    (lost: unknown) => {
      if (lost instanceof DOMException && lost.name === 'AbortError') throw lost;
      throw new ApiProblem(0, 'Jemble cannot be reached; the check is asked again later.', '');
    }
  );
  if (!response.ok || !response.body) {
    throw new ApiProblem(response.status, 'The check could not be made.', '');
  }
  for await (const line of lines(response.body)) {
    const told = JSON.parse(line) as LookLine;
    if (told.look) return told.look;
    tell(told.looked, told.of);
  }
  throw new ApiProblem(0, 'The check broke off; it is asked again with the next change.', '');
}
