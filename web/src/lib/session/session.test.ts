import type { Colleague } from '$lib/api/types';
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

test('the token of another window is taken where the same colleague signed in there, else not', async () => {
  const { guard } = await import('$lib/api/client');
  const asked = async (now: object) => {
    vi.mocked(api.GET).mockResolvedValueOnce({ ...said, ...now } as never);
    return session.renew();
  };
  session.colleague = { id: 7 } as Colleague;
  expect(await asked({ colleague: { id: 8 }, csrfToken: 'of 8' })).toBe(false);
  expect(await asked({ colleague: null, csrfToken: 'of nobody' })).toBe(false);
  expect(guard.token).toBe('a');
  expect(await asked({ colleague: { id: 7 }, csrfToken: 'b' })).toBe(true);
  expect(guard.token).toBe('b');
});

test('a session that is over goes on where the same colleague is back', async () => {
  const back = (id: number) => {
    vi.mocked(api.GET).mockResolvedValue({ ...said, colleague: { id } } as never);
    return session.resumeIfBack();
  };
  session.colleague = { id: 7 } as Colleague;
  expect(await back(7)).toBe(false);
  session.over = true;
  expect(await back(8)).toBe(false);
  expect(session.over).toBe(true);
  expect(await back(7)).toBe(true);
  expect(session.over).toBe(false);
});
