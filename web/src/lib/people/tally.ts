import { ApiProblem, send } from '$lib/api/client';
import type { PeopleTally, SelectionBody } from '$lib/api/types';

/**
 * Counts who matches, telling of each better count on the way; the answer is the exact one. To stop
 * reading ends the counting at the server.
 */
export async function watchTally(
  who: SelectionBody,
  signal: AbortSignal,
  tell: (soFar: PeopleTally) => void
): Promise<PeopleTally> {
  const response = await send(
    '/api/people/tally/watch',
    'application/json',
    JSON.stringify(who),
    signal
  );
  let last: PeopleTally | null = null;
  for await (const line of lines(response.body as ReadableStream<Uint8Array>)) {
    last = JSON.parse(line) as PeopleTally;
    tell(last);
  }
  if (!last || last.looked !== last.of) {
    throw new ApiProblem(0, 'The counting broke off; try again.', '');
  }
  return last;
}

/** The lines of a stream, each as soon as it is whole. Whoever has read enough ends the stream. */
export async function* lines(body: ReadableStream<Uint8Array>): AsyncGenerator<string> {
  const reader = body.pipeThrough(new TextDecoderStream() as never).getReader();
  let rest = '';
  try {
    while (true) {
      const { done, value } = (await reader.read()) as { done: boolean; value?: string };
      if (done) break;
      const parts = (rest + (value ?? '')).split('\n');
      rest = parts.pop() ?? '';
      yield* parts.filter(Boolean);
    }
    if (rest) yield rest;
  } finally {
    // A browser allows a host few connections: none is held for what nobody reads.
    await reader.cancel().catch(() => undefined);
  }
}
