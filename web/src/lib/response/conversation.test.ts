import { expect, test } from 'vitest';
import { writer } from './conversation';

test('who wrote is read from the header, the address where there is no name', () => {
  expect(writer('"Okonjo, Bea" <bea@okonjo.example>')).toBe('Okonjo, Bea');
  expect(writer('<bea@okonjo.example>')).toBe('bea@okonjo.example');
  expect(writer('bea@okonjo.example')).toBe('bea@okonjo.example');
});
