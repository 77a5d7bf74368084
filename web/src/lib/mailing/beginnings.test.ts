import { describe, expect, it } from 'vitest';
import { beginnings } from './beginnings';

const templates = [
  { id: 1, name: 'Renewal', subject: 'Your plan renews, {{first_name}}' },
  { id: 2, name: 'Été', subject: 'Summer on the water' }
];
const mailing = (id: number, name: string, releasedAt: string, sent = 3) => ({
  id,
  name,
  subject: `About ${name}`,
  releasedAt,
  sent
});
const mailings = [
  mailing(7, 'Old regatta', '2025-05-01T09:00:00Z'),
  mailing(8, 'New regatta', '2026-05-01T09:00:00Z'),
  mailing(9, 'Draft', null as unknown as string, 0),
  mailing(10, 'Held', '2026-06-01T09:00:00Z', 0),
  ...Array.from({ length: 9 }, (_, i) =>
    mailing(20 + i, `Note ${i}`, `2026-0${i + 1}-02T09:00:00Z`)
  )
];
const names = (words: string) => beginnings(words, templates, mailings).map((b) => b.name);

describe('what a mailing begins from', () => {
  it('is a template, one of the last that left, or nothing', () => {
    expect(names('')).toEqual([
      'Renewal',
      'Été',
      'Note 8',
      'Note 7',
      'Note 6',
      'Note 5',
      'Note 4',
      'An empty message'
    ]);
  });
  it('is found by words of its name or subject, among all that ever left', () => {
    expect(names('ete water')).toEqual(['Été']);
    expect(names('regatta')).toEqual(['New regatta', 'Old regatta']);
    expect(names('held')).toEqual([]);
    expect(names('empty')).toEqual(['An empty message']);
  });
});
