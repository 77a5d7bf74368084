import type { HouseRole } from '$lib/api/types';
import { expect, test } from 'vitest';
import { changedOf, limitWords, toggled, type Row } from './roles';

const row = (right: Row['right'], restsOn: Row['restsOn']): Row => ({
  right,
  restsOn,
  words: '',
  who: []
});
const rows = [
  row('WORK', null),
  row('WRITE_TO_ONE', 'WORK'),
  row('WRITE_TO_MANY', 'WRITE_TO_ONE'),
  row('EXPORT', null)
];
const role: HouseRole = {
  id: 1,
  name: 'Quay hand',
  rights: ['WORK', 'WRITE_TO_ONE', 'WRITE_TO_MANY', 'EXPORT'],
  limits: {
    mostAtOnce: 1200,
    nodAbove: 100,
    mostADay: 0,
    mostMailsADay: null,
    mostTextsADay: 30,
    mostNoticesADay: null,
    mostRows: null,
    ownPeople: false
  },
  colleagues: 0
};

test('a right brings what it rests on, and takes along what rests on it', () => {
  expect(toggled(rows, [], 'WRITE_TO_MANY').sort()).toEqual([
    'WORK',
    'WRITE_TO_MANY',
    'WRITE_TO_ONE'
  ]);
  expect(toggled(rows, role.rights, 'WRITE_TO_ONE')).toEqual(['WORK', 'EXPORT']);
  expect(toggled(rows, role.rights, 'WORK')).toEqual(['EXPORT']);
});

test('limits are said where the right is there', () => {
  expect(limitWords(role)).toEqual([
    'One mailing goes to at most 1,200 people.',
    'A mailing to more than 100 leaves when a second colleague has nodded.',
    'At most 0 messages leave a day.',
    'At most 30 texts leave a day.'
  ]);
  expect(limitWords({ ...role, rights: ['EXPORT'] })).toEqual([]);
  const own = { ...role, rights: [], limits: { ...role.limits, ownPeople: true } };
  expect(limitWords(own)).toEqual(['They see the people they own, and what is about these.']);
});

test('the order of rights is no change', () => {
  const turned = { ...role, rights: [...role.rights].reverse() };
  expect(changedOf([turned], [role])).toEqual([]);
  expect(changedOf([{ ...role, name: 'Hand' }], [role])).toHaveLength(1);
});
