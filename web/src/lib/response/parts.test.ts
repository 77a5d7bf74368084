import type { Summary } from '$lib/api/types';
import { describe, expect, it } from 'vitest';
import { partOf, rateWords, responseParts, sizeOf, writeWords } from './parts';

const summary: Summary = {
  id: 1,
  name: 'Spring slipway reminder',
  messages: 1074,
  sent: 1074,
  firstSent: '2026-03-24T09:00:00Z',
  lastSent: '2026-03-26T10:30:00Z',
  delivered: 1062,
  quiet: 494,
  parts: [
    { standing: 'REPLIED', words: 'replied', quiet: false, messages: 183 },
    { standing: 'MACHINE_OPENED', words: 'opened by a machine', quiet: true, messages: 125 },
    { standing: 'NOTHING', words: 'nothing yet', quiet: true, messages: 369 },
    { standing: 'LEFT', words: 'left the list', quiet: false, messages: 3 },
    { standing: 'RETURNED', words: 'returned', quiet: false, messages: 12 }
  ],
  rates: [{ what: 'a person opened', count: 553, share: 0.5207, low: 0.4906, high: 0.5507 }]
};

describe('responses of a mailing', () => {
  it('show the share of replies over the delivered', () => {
    expect(responseParts(summary)[0]?.words).toBe('replied · 17.2%');
  });
  it('open the quiet unless another part is asked for', () => {
    expect(sizeOf(partOf(null, summary), summary)).toBe(494);
    expect(partOf('REPLIED', summary).title).toBe('Replied');
    expect(partOf('nonsense', summary).key).toBe('QUIET');
  });
  it('offer to write to the quiet, never to those who left or came back', () => {
    expect(writeWords(partOf('QUIET', summary), 494)).toBe('Write to the 494 quiet…');
    expect(writeWords(partOf('LEFT', summary), 3)).toBeNull();
    expect(writeWords(partOf('RETURNED', summary), 12)).toBeNull();
    expect(writeWords(partOf('QUIET', summary), 0)).toBeNull();
  });
  it('give the interval of a rate', () => {
    expect(rateWords(summary.rates[0]!, true)).toBe('(49.1–55.1% at 95% confidence)');
  });
});
