import { describe, expect, it } from 'vitest';
import { cellWords } from './cell';

const words = (name: string, type: Parameters<typeof cellWords>[0]['type'], text: string | null) =>
  cellWords({ name, type }, text, 'Europe/London');

describe('a cell', () => {
  it('says each type as people read it', () => {
    expect(words('joined_on', 'DAY', '2021-04-04')).toBe('4 Apr 2021');
    expect(words('last_visit', 'INSTANT', '2026-06-30T23:30:00Z')).toBe('1 Jul 2026');
    expect(words('starts', 'INSTANT', '2026-06-30T18:00:00Z')).toBe('30 Jun 2026, 19:00');
    expect(words('total', 'MONEY', '1860.00 GBP')).toBe('£1,860.00');
    expect(words('asked_not', 'FLAG', 'false')).toBe('no');
    expect(words('owner', 'REFERENCE', 'Orla Finch')).toBe('O. Finch');
    expect(words('plan', 'CHOICE', null)).toBe('');
    expect(words('last_visit', 'INSTANT', null)).toBe('never');
  });
  it('tells what was last heard', () => {
    expect(words('last_heard', 'INSTANT', null)).toBe('never');
    expect(words('last_heard', 'INSTANT', 'REPLIED 2026-02-06 08:31:00+00')).toBe(
      'replied 6 Feb 2026'
    );
    expect(words('last_heard', 'INSTANT', 'RETURNED_HARD 2026-02-06 08:31:00.123+00')).toBe(
      'returned 6 Feb 2026'
    );
  });
});
