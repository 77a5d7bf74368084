import type { MergeFieldName } from '$lib/api/types';
import { describe, expect, it } from 'vitest';
import { lackWords, matching, placeBelow } from './picking';

const field = (name: string, label: string) => ({ name, label, type: 'TEXT' }) as MergeFieldName;
const fields = [
  field('first_name', 'First name'),
  field('last_name', 'Last name'),
  field('address.place', 'Place')
];

describe('choosing a field', () => {
  it('finds by label and by name', () => {
    expect(matching(fields, 'NAME').map((f) => f.name)).toEqual(['first_name', 'last_name']);
    expect(matching(fields, 'first name').map((f) => f.name)).toEqual(['first_name']);
    expect(matching(fields, 'address').map((f) => f.name)).toEqual(['address.place']);
    expect(matching(fields, '  ')).toHaveLength(3);
    expect(matching(fields, 'nothing')).toEqual([]);
  });
  it('says how many lack it, where some do', () => {
    const hints = { lacks: { plan: 1212 }, of: 10_074 };
    expect(lackWords(hints, 'plan')).toBe('1,212 of 10,074 have none');
    expect(lackWords(hints, 'stage')).toBe('');
    expect(lackWords({}, 'plan')).toBe('');
  });
  it('stands below what was pressed and inside the frame', () => {
    const frame = { left: 100, top: 50, width: 500 };
    expect(placeBelow({ left: 150, bottom: 90 }, frame)).toEqual({ x: 50, y: 44 });
    expect(placeBelow({ left: 590, bottom: 90 }, frame).x).toBe(180);
    expect(placeBelow({ left: 20, bottom: 90 }, frame).x).toBe(0);
  });
});
