import { expect, test } from 'vitest';
import { loginFor, roleName } from './colleagues';

test('a login is proposed from the name, and is nobody else’s', () => {
  expect(loginFor('Mara Penrose', [])).toBe('mara');
  expect(loginFor('Mara Penrose', ['mara'])).toBe('mara.penrose');
  expect(loginFor('Mara Penrose', ['mara', 'mara.penrose'])).toBe('mara.penrose2');
  expect(loginFor('Zoë Ångström', ['zoe'])).toBe('zoe.angstrom');
  expect(loginFor('  ', [])).toBe('');
  expect(loginFor('日本', [])).toBe('');
  expect(loginFor('x'.repeat(60) + ' y', ['x'.repeat(60)]).length).toBeLessThanOrEqual(40);
});

test('roles are said in words', () => {
  expect(roleName('READER')).toBe('Reader');
});
