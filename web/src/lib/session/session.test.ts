import { afterEach, expect, test, vi } from 'vitest';

const gets: (() => void)[] = [];
const said = {
  colleague: null,
  csrfHeader: 'X',
  csrfToken: 'a',
  now: '2026-01-01T00:00:00Z',
  clockSpeed: 1
};

vi.mock('$lib/api/client', () => ({
  answer: (call: Promise<unknown>) => call,
  api: {
    GET: vi.fn(() => new Promise((done) => gets.push(() => done(said)))),
    POST: vi.fn(async () => ({}))
  },
  guard: {},
  signedInAnew: vi.fn()
}));

const { api } = await import('$lib/api/client');
const { session } = await import('./session.svelte');

afterEach(() => vi.clearAllMocks());

test('who asks twice at once asks once', async () => {
  const both = Promise.all([session.load(), session.load()]);
  expect(api.GET).toHaveBeenCalledTimes(1);
  gets.pop()?.();
  await both;
  void session.load();
  expect(api.GET).toHaveBeenCalledTimes(2);
  gets.pop()?.();
});

test('after signing in it is asked anew, whatever was asked before', async () => {
  const signedIn = session.signIn('orla', 'a password');
  await vi.waitFor(() => expect(gets).toHaveLength(1));
  gets.pop()?.();
  await vi.waitFor(() => expect(gets).toHaveLength(1));
  expect(api.POST).toHaveBeenCalledTimes(1);
  gets.pop()?.();
  await signedIn;
  expect(api.GET).toHaveBeenCalledTimes(2);
});
