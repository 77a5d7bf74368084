import { expect, it } from 'vitest';
import { lines } from './tally';

function body(...parts: string[]) {
  const state = { ended: false };
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      for (const part of parts) controller.enqueue(new TextEncoder().encode(part));
    },
    cancel() {
      state.ended = true;
    }
  });
  return { state, stream };
}

it('ends a stream of which enough was read', async () => {
  const { state, stream } = body('{"a":1}\n{"b"', ':2}\n');
  const read: string[] = [];
  for await (const line of lines(stream)) {
    read.push(line);
    if (read.length === 2) break;
  }
  expect(read).toEqual(['{"a":1}', '{"b":2}']);
  expect(state.ended).toBe(true);
});
