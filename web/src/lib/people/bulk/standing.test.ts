import type { FilterField } from '$lib/api/types';
import { expect, it } from 'vitest';
import { haveAlready, holdingWords, standingNow } from './standing';

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

it('says whom an office would come to, and for whom it would end', () => {
  expect(holdingWords(true, { people: 12, holding: 0 })).toBe('12 people would take it up.');
  expect(holdingWords(true, { people: 12, holding: 2 })).toBe(
    '10 people would take it up; 2 hold it on that day already.'
  );
  expect(holdingWords(true, { people: 2, holding: 2 })).toBe(
    'All of them hold it on that day already.'
  );
  expect(holdingWords(false, { people: 12, holding: 0 })).toBe(
    'Nobody of them holds it on that day.'
  );
  expect(holdingWords(false, { people: 12, holding: 1 })).toBe(
    '1 of them holds it on that day; the others stay as they are.'
  );
  expect(holdingWords(false, { people: 2, holding: 2 })).toBe('All of them hold it on that day.');
});
