import type { FilterField } from '$lib/api/types';
import { expect, it } from 'vitest';
import { haveAlready, standingNow } from './standing';

const field = (type: FilterField['type'], name = 'status') =>
  ({ name, label: 'Status', type, choices: [], retired: [] }) as unknown as FilterField;
const shares = [
  { value: 'active', people: 1200 },
  { value: 'lapsed', people: 3 },
  { value: null, people: 1 }
];

it('says how the picked stand before they are changed', () => {
  expect(standingNow(field('CHOICE'), shares, 'UTC')).toBe('Now: active 1,200, lapsed 3, empty 1.');
  expect(standingNow(field('DAY'), [{ value: '2026-12-06', people: 2 }], 'UTC')).toBe(
    'Now: 6 Dec 2026 2.'
  );
});

it('names the commonest values, and tells all others together', () => {
  const many = [...'abcdefgh'].map((value) => ({ value, people: 2 }));
  expect(standingNow(field('TEXT'), many, 'UTC')).toBe(
    'Now: a 2, b 2, c 2, d 2, e 2, f 2, another value 4.'
  );
});

it('knows who has a choice already', () => {
  expect(haveAlready(field('CHOICE'), shares, 'lapsed')).toBe(3);
  expect(haveAlready(field('CHOICE'), shares, 'won')).toBe(0);
  expect(haveAlready(field('TEXT'), shares, '')).toBe(1);
  expect(haveAlready(field('REFERENCE'), shares, 'orla')).toBeNull();
});
