import { QueryClient } from '@tanstack/svelte-query';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { keysOf, listen } from './live';

class Source {
  static all: Source[] = [];
  onmessage: ((event: { data: string }) => void) | null = null;
  closed = false;
  constructor(readonly url: string) {
    Source.all.push(this);
  }
  close() {
    this.closed = true;
  }
}

let turned: () => void;
const page = {
  hidden: false,
  addEventListener: (_: string, listener: () => void) => (turned = listener),
  removeEventListener: vi.fn()
};

beforeEach(() => {
  Source.all = [];
  page.hidden = false;
  vi.stubGlobal('EventSource', Source);
  vi.stubGlobal('document', page);
});

afterEach(() => vi.unstubAllGlobals());

describe('what the server says has changed', () => {
  it('names the questions to ask anew, each once', () => {
    expect(keysOf('outbox mailings').filter((k) => k === 'run')).toHaveLength(1);
    expect(keysOf('outbox')).toContain('letters');
    expect(keysOf('everything')).toContain('responses');
    expect(keysOf('something new')).toEqual([]);
  });

  it('is asked anew', () => {
    const queries = new QueryClient();
    const asked = vi.spyOn(queries, 'invalidateQueries');
    listen(queries);
    Source.all[0]?.onmessage?.({ data: 'responses' });
    expect(asked).toHaveBeenCalledWith({ queryKey: ['summary'] });
    expect(asked).not.toHaveBeenCalledWith({ queryKey: ['run'] });
  });

  it('is not listened to by a page that nobody sees', () => {
    const end = listen(new QueryClient());
    page.hidden = true;
    turned();
    expect(Source.all[0]?.closed).toBe(true);
    page.hidden = false;
    turned();
    expect(Source.all).toHaveLength(2);
    end();
    expect(Source.all[1]?.closed).toBe(true);
  });
});
