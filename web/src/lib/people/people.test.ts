import { describe, expect, it } from 'vitest';
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
});
