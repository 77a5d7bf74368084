import { describe, expect, it } from 'vitest';
import { inOrder, partFilter, partTone } from './parts';

const everything = { match: 'ALL' as const, conditions: [], related: [], groups: [] };

describe('a part of a tally of records', () => {
  it('narrows the filter and keeps it whole', () => {
    const open = partFilter('quotes', 'open', everything);
    expect(open.conditions).toEqual([{ field: 'stage', operator: 'ANY_OF', values: ['open'] }]);
    expect(open.groups).toEqual([everything]);
  });
  it('tells tasks of today from those overdue and those to come', () => {
    expect(partFilter('tasks', 'overdue', everything).conditions[1]?.operator).toBe('AGO');
    const later = partFilter('tasks', 'later', everything);
    expect(later.groups[1]?.match).toBe('NONE');
    expect(later.groups[1]?.conditions).toHaveLength(2);
  });
  it('comes in the order in which records go through them', () => {
    const parts = ['lapsed', 'open', 'draft'].map((part) => ({ part }));
    expect(inOrder(parts).map((p) => p.part)).toEqual(['draft', 'open', 'lapsed']);
  });
  it('shows what is overdue as such', () => {
    expect(partTone('overdue')).toBe('bad');
    expect(partTone('something new')).toBe('open');
  });
});
