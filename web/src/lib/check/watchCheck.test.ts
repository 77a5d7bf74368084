import { afterEach, describe, expect, it, vi } from 'vitest';
import { watchCheck } from './watchCheck';

afterEach(() => vi.unstubAllGlobals());

function answering(body: string, status = 200) {
  vi.stubGlobal('fetch', () => Promise.resolve(new Response(body, { status })));
}

const line = (checked: number, check: object | null = null) =>
  JSON.stringify({ checked, of: 1000, result: check }) + '\n';

describe('a look at everyone', () => {
  it('tells how far it has come, then what it found', async () => {
    answering(line(500) + line(1000, { total: 1000 }));
    const told: number[] = [];
    const check = await watchCheck(5, new AbortController().signal, (n) => told.push(n));
    expect(told).toEqual([500]);
    expect(check.total).toBe(1000);
  });
  it('that breaks off is not taken for a whole one', async () => {
    answering(line(500));
    const looking = watchCheck(5, new AbortController().signal, () => {});
    await expect(looking).rejects.toThrow('The check broke off');
  });
  it('says so when it cannot be made', async () => {
    answering('{}', 404);
    const looking = watchCheck(5, new AbortController().signal, () => {});
    await expect(looking).rejects.toThrow('The check could not be made.');
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('lost')));
    const lost = watchCheck(5, new AbortController().signal, () => {});
    await expect(lost).rejects.toThrow('Jemble cannot be reached');
  });
  it('ends quietly when nobody waits for it any more', async () => {
    const gone = new DOMException('gone', 'AbortError');
    vi.stubGlobal('fetch', () => Promise.reject(gone));
    await expect(watchCheck(5, new AbortController().signal, () => {})).rejects.toBe(gone);
  });
});
