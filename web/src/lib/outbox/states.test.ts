import { describe, expect, it } from 'vitest';
import { acts, states } from './states';

describe('a message in the outbox', () => {
  it('in doubt is never tried again by the same word as others', () => {
    expect(acts('in_doubt').map((a) => a.act)).toEqual(['arrived', 'lost']);
  });
  it('that is just leaving can only be watched', () => {
    expect(acts('sending')).toEqual([]);
  });
  it('has words for every state', () => {
    for (const state of Object.values(states)) expect(state.words).not.toBe('');
  });
});
