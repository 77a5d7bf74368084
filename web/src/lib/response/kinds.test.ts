import type { Latest } from '$lib/api/types';
import { describe, expect, it } from 'vitest';
import { happening, letterOf, smallPrint, standings, told } from './kinds';

const latest = (kind: Latest['kind'], detail = '', secondsAfter: number | null = null): Latest => ({
  id: 1,
  kind,
  personId: 2,
  name: 'Bea Okonjo',
  mailingId: 3,
  mailing: 'Winter storage',
  messageId: 4,
  channel: 'EMAIL',
  at: '2026-03-27T10:42:00Z',
  detail,
  awayUntil: null,
  secondsAfter
});

describe('what came in', () => {
  it('is told as people say it', () => {
    expect(told(latest('OPENED'), true)).toBe('opened “Winter storage”');
    expect(told(latest('CLICKED'), false)).toBe('followed a link');
    const text = { ...latest('RETURNED_HARD'), channel: 'TEXT' as const };
    expect(told(text, false)).toBe('gets nothing by text');
    expect(told({ ...text, kind: 'RETURNED_SOFT' }, false)).toBe(
      ': what went by text did not arrive'
    );
    expect(told(latest('RETURNED_HARD'), false)).toBe(': the mail came back for good');
    expect(happening('REPLIED')).toMatchObject({ word: 'Replied', after: 'to ' });
  });
  it('never counts software as a reader', () => {
    expect(smallPrint(latest('MACHINE_OPENED', '', 2))).toBe(
      '2 s after it left, not counted as read'
    );
    expect(letterOf('MACHINE_OPENED')).toBe('machine');
    expect(standings.MACHINE_OPENED.letter).toBe('machine');
    expect(smallPrint(latest('AUTO_REPLIED', 'I am away'))).toContain('not counted as a reply');
    const away = { ...latest('AUTO_REPLIED'), awayUntil: '2026-04-02' };
    expect(smallPrint(away)).toMatch(/^until .*2 Apr/);
  });
  it('quotes a reply and shortens a link', () => {
    expect(smallPrint(latest('REPLIED', 'Yes please'))).toBe('“Yes please”');
    expect(smallPrint(latest('CLICKED', 'https://ternquay.example/news'))).toBe(
      'ternquay.example/news'
    );
  });
});
