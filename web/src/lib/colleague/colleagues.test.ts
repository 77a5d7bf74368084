import { expect, test } from 'vitest';
import { loginFor, ownedWords } from './colleagues';

test('a login is proposed from the name, and is nobody else’s', () => {
  expect(loginFor('Mara Penrose', [])).toBe('mara');
  expect(loginFor('Mara Penrose', ['mara'])).toBe('mara.penrose');
  expect(loginFor('Mara Penrose', ['mara', 'mara.penrose'])).toBe('mara.penrose2');
  expect(loginFor('Zoë Ångström', ['zoe'])).toBe('zoe.angstrom');
  expect(loginFor('  ', [])).toBe('');
  expect(loginFor('日本', [])).toBe('');
  expect(loginFor('x'.repeat(60) + ' y', ['x'.repeat(60)]).length).toBeLessThanOrEqual(40);
});

test('what somebody leaves is said in a row', () => {
  const owned = [
    { one: 'person', many: 'people', count: 1312 },
    { one: 'open task', many: 'open tasks', count: 1 },
    { one: 'draft', many: 'drafts', count: 3 }
  ];
  expect(ownedWords(owned)).toBe('1,312 people, 1 open task and 3 drafts');
  expect(ownedWords(owned.slice(1, 2))).toBe('1 open task');
  expect(ownedWords([])).toBe('');
});
