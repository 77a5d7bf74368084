import { expect, it } from 'vitest';
import { backPath } from './back';

it('leads back to a screen of ours and nowhere else', () => {
  expect(backPath('/people?person=7')).toBe('/people?person=7');
  for (const elsewhere of [
    null,
    '',
    '//evil.example',
    '/\\evil.example',
    'https://evil.example',
    '/sign-in'
  ]) {
    expect(backPath(elsewhere)).toBe('/desk');
  }
});
