import { expect, test } from 'vitest';
import { currencies, languages, zones } from './choices';

test('the house’s own zone and language can be chosen, whatever they are', () => {
  expect(zones('Etc/GMT+3')).toContain('Etc/GMT+3');
  expect(zones('Europe/London').filter((z) => z === 'Europe/London')).toHaveLength(1);
  expect(zones('Europe/London')).toContain('UTC');
  expect(languages('cy-GB').map((l) => l.tag)).toContain('cy-GB');
  expect(languages('en-GB').find((l) => l.tag === 'en-GB')?.name).toBe('English (United Kingdom)');
});

test('currencies are chosen by name', () => {
  expect(currencies().find((c) => c.code === 'NOK')?.name).toBe('Norwegian Krone (NOK)');
});
