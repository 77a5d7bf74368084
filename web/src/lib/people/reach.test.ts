import { describe, expect, it } from 'vitest';
import { reachedBy } from './reach';

describe('those whom a way reaches', () => {
  it('are among those who match, whatever the filter joins', () => {
    const filter = { match: 'ANY' as const, conditions: [], related: [], groups: [] };
    expect(reachedBy('App', filter)).toEqual({
      match: 'ALL',
      conditions: [{ field: 'reached_by', operator: 'HAS_ANY', values: ['App'] }],
      related: [],
      groups: [filter]
    });
  });
});
