import { api } from '$lib/api/client';
import type { FindingBody } from '$lib/api/types';
import { notices } from '$lib/ui/notices.svelte';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Writing } from '$lib/draft/writing.svelte';
import { correctNames, leaveOut, mendsOf, setFallback } from './mends';

const finding = (code: FindingBody['code'], people = 3, about = ''): FindingBody => ({
  severity: 'NOTICE',
  code,
  about,
  sentence: '',
  people
});
const ok = (data: unknown) => Promise.resolve({ data, response: new Response() });

function writingWith(subject: string, body: string) {
  return {
    mailing: { id: 5, version: 3 },
    subject,
    body,
    leftOut: [1],
    changed: vi.fn(),
    save: vi.fn(() => Promise.resolve()),
    set: vi.fn(),
    refresh: vi.fn()
  };
}

afterEach(() => {
  vi.restoreAllMocks();
  notices.list = [];
});

describe('what mends a finding', () => {
  it('depends on what was found', () => {
    expect(mendsOf(finding('VALUE_MISSING'))).toEqual(['fallback', 'leave out']);
    expect(mendsOf(finding('NAME_CAPITALS'))).toEqual(['names', 'leave out']);
    expect(mendsOf(finding('WRITTEN_LATELY'))).toEqual(['leave out']);
    expect(mendsOf(finding('LONG_SUBJECT'))).toEqual([]);
    expect(mendsOf(finding('PICTURE_WITHOUT_TEXT', 0))).toEqual([]);
  });
  it('is a fallback, which the server writes into both texts', async () => {
    const writing = writingWith('{{plan}}?', '<p>{{plan}}</p>');
    const asked = vi
      .spyOn(api, 'POST')
      .mockImplementation((() => ok({ subject: 'S', body: '<p>B</p>' })) as never);
    await setFallback(writing as unknown as Writing, 'plan', 'a');
    expect(asked).toHaveBeenCalledWith('/api/mends/fallback', {
      body: { subject: '{{plan}}?', body: '<p>{{plan}}</p>', field: 'plan', fallback: 'a' }
    });
    expect([writing.subject, writing.body]).toEqual(['S', '<p>B</p>']);
    expect(writing.changed).toHaveBeenCalled();
  });
  it('never writes over what was typed while the server was asked', async () => {
    const writing = writingWith('a', '<p>{{plan}}</p>');
    let typed = false;
    vi.spyOn(api, 'POST').mockImplementation(((_: string, call: { body: { subject: string } }) => {
      if (!typed) writing.subject = 'a and more';
      typed = true;
      return ok({ subject: call.body.subject, body: '<p>B</p>' });
    }) as never);
    await setFallback(writing as unknown as Writing, 'plan', 'x');
    expect([writing.subject, writing.body]).toEqual(['a and more', '<p>B</p>']);
  });
  it('is leaving its people out, which can be taken back', async () => {
    const writing = writingWith('', '');
    vi.spyOn(api, 'POST').mockImplementation((() =>
      ok({ leftOut: [1, 2, 3], version: 4 })) as never);
    await leaveOut(writing as unknown as Writing, finding('VALUE_MISSING', 2, 'plan'));
    expect(writing.leftOut).toEqual([1, 2, 3]);
    expect(writing.mailing.version).toBe(4);
    expect(notices.list[0]?.words).toBe('2 more left out.');
    notices.list[0]?.undo?.();
    expect(writing.set).toHaveBeenCalledWith('leftOut', [1]);
  });
  it('is other names, as one act', async () => {
    const writing = writingWith('', '');
    const post = vi
      .spyOn(api, 'POST')
      .mockImplementation((() =>
        ok({ act: 9, words: 'Corrected the first name of 1 person', changed: 1 })) as never);
    await correctNames({} as never, writing as unknown as Writing, [
      { personId: 1, firstName: 'Carmen' }
    ]);
    expect(post.mock.calls[0]?.[1]).toMatchObject({ body: [{ personId: 1, firstName: 'Carmen' }] });
    expect(notices.list[0]?.words).toBe('Corrected the first name of 1 person.');
    expect(writing.refresh).toHaveBeenCalled();
  });
});
