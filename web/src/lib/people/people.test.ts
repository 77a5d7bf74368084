import { describe, expect, it } from 'vitest';
import { heard } from './heard';
import { reachParts } from './reach';

describe('people', () => {
  it('have a tally that begins with who can be written to and adds up', () => {
    const parts = reachParts(
      [
        { reach: 'NO_ADDRESS', words: 'no address', people: 27 },
        { reach: 'READY', words: 'can be e-mailed', people: 1081 }
      ],
      1108
    );
    expect(parts.map((p) => p.key)).toEqual(['READY', 'NO_ADDRESS', 'all']);
    expect(parts.slice(0, -1).reduce((sum, p) => sum + p.count, 0)).toBe(parts.at(-1)?.count);
  });
  it('show what was last heard', () => {
    expect(heard({ heardKind: null, heardAt: null }, 'UTC')).toBe('never');
    expect(heard({ heardKind: 'REPLIED', heardAt: '2026-02-06T08:31:00Z' }, 'UTC')).toBe(
      'replied 6 Feb 2026'
    );
  });
});
