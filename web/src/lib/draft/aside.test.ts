// @vitest-environment happy-dom
import { api } from '$lib/api/client';
import type { Colleague, WholeMailing } from '$lib/api/types';
import { session } from '$lib/session/session.svelte';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { forget, keepAside, keptAside } from './aside';
import { Writing } from './writing.svelte';

const mailing = {
  id: 5,
  name: 'Spring',
  subject: 'Saved',
  body: '<p>Saved</p>',
  state: 'DRAFT',
  version: 3,
  parts: [],
  leftOutParts: [],
  picks: [],
  leftOut: []
} as unknown as WholeMailing;

afterEach(() => {
  session.colleague = null;
  localStorage.clear();
  vi.restoreAllMocks();
  vi.useRealTimers();
});

describe('words that are not saved yet', () => {
  it('are kept by mailing until they are forgotten', () => {
    keepAside('5', 3, { subject: 'Mine' });
    expect(keptAside('5')).toEqual({ version: 3, written: { subject: 'Mine' } });
    expect(keptAside('5.1')).toBeNull();
    forget('5');
    expect(keptAside('5')).toBeNull();
  });
  it('are not shown to the next colleague at the same browser', () => {
    session.colleague = { id: 1 } as Colleague;
    keepAside('5', 3, { subject: 'Mine' });
    session.colleague = { id: 2 } as Colleague;
    expect(keptAside('5')).toBeNull();
    session.colleague = { id: 1 } as Colleague;
    expect(keptAside('5')).not.toBeNull();
  });
  it('come back when the page was lost, and are saved', async () => {
    vi.useFakeTimers();
    const put = vi.spyOn(api, 'PUT').mockImplementation((() =>
      Promise.resolve({
        data: { ...mailing, subject: 'Lost', version: 4 },
        response: new Response()
      })) as never);
    localStorage.setItem(
      'jemble.unsaved.0.5',
      JSON.stringify({ version: 3, written: { ...mailing, subject: 'Lost', body: '<p>Lost</p>' } })
    );
    const writing = new Writing(mailing);
    expect(writing.subject).toBe('Lost');
    await vi.advanceTimersByTimeAsync(700);
    expect(put).toHaveBeenCalledTimes(1);
    expect(keptAside('5')).toBeNull();
  });
  it('never take the place of what somebody saved since', () => {
    localStorage.setItem(
      'jemble.unsaved.0.5',
      JSON.stringify({ version: 2, written: { ...mailing, subject: 'Old', body: '<p>Old</p>' } })
    );
    const writing = new Writing(mailing);
    expect(writing.subject).toBe('Saved');
    expect(writing.kept?.written.subject).toBe('Old');
    vi.useFakeTimers();
    writing.putKeptIn();
    expect([writing.subject, writing.kept]).toEqual(['Old', null]);
    writing.forgetKept();
    expect(keptAside('5')).toBeNull();
  });
  it('that cannot be read are as if they were not there', () => {
    localStorage.setItem('jemble.unsaved.0.5', '{');
    expect(keptAside('5')).toBeNull();
  });
});
