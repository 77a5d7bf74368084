import { api } from '$lib/api/client';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Writing } from '$lib/draft/writing.svelte';
import { OwnWriting } from './own.svelte';

const ok = (data: unknown) => ({ data, response: new Response(null, { status: 200 }) });
const writing = {
  mailing: { id: 5 },
  subject: 'Shared',
  body: '<p>Shared</p>',
  text: { words: 'Shared text', likeness: 'NOWHERE' },
  notice: { title: 'Shared title', words: 'Shared notice', link: '' },
  save: vi.fn(() => Promise.resolve()),
  refresh: vi.fn()
};
let own: OwnWriting;
let kept: unknown[];
let put: ReturnType<typeof vi.spyOn>;

beforeEach(() => {
  vi.useFakeTimers();
  kept = [];
  vi.spyOn(api, 'GET').mockImplementation((() => Promise.resolve(ok(kept))) as never);
  put = vi
    .spyOn(api, 'PUT')
    .mockImplementation((() => Promise.resolve(ok({ version: 4 }))) as never);
  vi.spyOn(api, 'DELETE').mockImplementation((() => Promise.resolve(ok(undefined))) as never);
  own = new OwnWriting(writing as unknown as Writing);
});

afterEach(() => {
  vi.useRealTimers();
  vi.restoreAllMocks();
  vi.clearAllMocks();
});

describe('words for one person alone', () => {
  it('begin with the shared ones, once those are saved', async () => {
    await own.open(7, 'Bea Okonjo', 'EMAIL');
    expect(writing.save).toHaveBeenCalled();
    expect(own.person).toEqual({ id: 7, name: 'Bea Okonjo' });
    expect([own.subject, own.body]).toEqual(['Shared', '<p>Shared</p>']);
    expect(own.shared.body).toBe('<p>Shared</p>');
  });
  it('go on where they were left, beside the shared ones of then', async () => {
    kept = [
      {
        personId: 7,
        channel: 'EMAIL',
        subject: 'Own',
        body: '<p>Own</p>',
        sharedSubject: 'Then',
        sharedBody: ''
      }
    ];
    await own.open(7, 'Bea Okonjo', 'EMAIL');
    expect([own.subject, own.shared.subject]).toEqual(['Own', 'Then']);
  });
  it.each([
    ['TEXT', '', 'Shared text'],
    ['APP', 'Shared title', 'Shared notice']
  ] as const)('by %s begin with the shared ones of that way', async (channel, subject, body) => {
    kept = [{ personId: 7, channel: 'EMAIL', subject: 'Own', body: '<p>Own</p>' }];
    await own.open(7, 'Bea Okonjo', channel);
    expect([own.subject, own.body]).toEqual([subject, body]);
    own.body = 'Other words';
    own.changed();
    await vi.advanceTimersByTimeAsync(600);
    expect(put.mock.calls[0]?.[1]).toMatchObject({ body: { channel, body: 'Other words' } });
  });
  it('are saved a moment after the last key, once', async () => {
    await own.open(7, 'Bea Okonjo', 'EMAIL');
    own.body = '<p>One</p>';
    own.changed();
    own.body = '<p>Two</p>';
    own.changed();
    await vi.advanceTimersByTimeAsync(600);
    expect(put).toHaveBeenCalledTimes(1);
    expect(put.mock.calls[0]?.[1]).toMatchObject({
      params: { path: { id: 5, personId: 7 } },
      body: { body: '<p>Two</p>' }
    });
    expect(own.saving).toBe('saved');
    expect(writing.refresh).toHaveBeenCalled();
  });
  it('are not given up while they cannot be saved', async () => {
    await own.open(7, 'Bea Okonjo', 'EMAIL');
    put.mockImplementation((() =>
      Promise.resolve({
        error: { detail: 'No.' },
        response: new Response(null, { status: 422 })
      })) as never);
    own.changed();
    await own.close();
    expect(own.saving).toBe('failed');
    expect(own.person?.id).toBe(7);
  });
  it('that somebody else has changed are kept, and saved over theirs when one says so', async () => {
    kept = [
      {
        personId: 7,
        channel: 'EMAIL',
        subject: 'Own',
        body: '',
        sharedSubject: '',
        sharedBody: '',
        version: 2
      }
    ];
    await own.open(7, 'Bea Okonjo', 'EMAIL');
    put.mockImplementationOnce((() =>
      Promise.resolve({
        error: { detail: 'Somebody changed this.' },
        response: new Response(null, { status: 409 })
      })) as never);
    own.subject = 'Mine';
    own.changed();
    await vi.advanceTimersByTimeAsync(600);
    expect(put.mock.calls[0]?.[1]).toMatchObject({ body: { version: 2 } });
    expect([own.autosave.overtaken, own.subject]).toEqual([true, 'Mine']);
    kept = [
      {
        personId: 7,
        channel: 'EMAIL',
        subject: 'Theirs',
        body: '',
        sharedSubject: '',
        sharedBody: '',
        version: 3
      }
    ];
    expect((await own.theirs()).subject).toBe('Theirs');
    await own.keepMine();
    expect(put.mock.calls[1]?.[1]).toMatchObject({ body: { subject: 'Mine', version: 3 } });
    expect(own.autosave.overtaken).toBe(false);
  });
  it('are given up for theirs when one says so', async () => {
    await own.open(7, 'Bea Okonjo', 'EMAIL');
    own.subject = 'Mine';
    own.changed();
    kept = [
      {
        personId: 7,
        channel: 'EMAIL',
        subject: 'Theirs',
        body: '',
        sharedSubject: '',
        sharedBody: '',
        version: 3
      }
    ];
    await own.takeTheirs();
    expect([own.subject, own.saving]).toEqual(['Theirs', 'saved']);
  });
  it('are dropped in one act, for one or for all', async () => {
    await own.open(7, 'Bea Okonjo', 'EMAIL');
    await own.drop(7, 'Bea Okonjo');
    expect(own.person).toBeNull();
    await own.open(7, 'Bea Okonjo', 'EMAIL');
    await own.dropAll();
    expect(own.person).toBeNull();
    expect(writing.refresh).toHaveBeenCalledTimes(2);
  });
});
