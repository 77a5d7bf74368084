import { expect, it } from 'vitest';
import { lines } from './tally';

function stream(...pieces: string[]): ReadableStream<Uint8Array> {
  const encoder = new TextEncoder();
  return new ReadableStream({
    start(controller) {
      pieces.forEach((p) => controller.enqueue(encoder.encode(p)));
      controller.close();
    }
  });
}

it('reads whole lines wherever the stream is cut', async () => {
  const read: string[] = [];
  for await (const line of lines(stream('{"a"', ':1}\n{"b":2}\n', '\n{"c":', '3}'))) {
    read.push(line);
  }
  expect(read).toEqual(['{"a":1}', '{"b":2}', '{"c":3}']);
});
