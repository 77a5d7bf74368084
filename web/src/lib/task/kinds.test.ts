import type { RelatedFields } from '$lib/api/types';
import { expect, test } from 'vitest';
import { taskKinds } from './kinds';

test('kinds that were given up are offered no more', () => {
  const kind = { name: 'kind', choices: ['call', 'visit', 'fax'], retired: ['fax'] };
  const related = [{ kind: 'TASK', fields: [kind] }] as unknown as RelatedFields[];
  expect(taskKinds(related)).toEqual(['call', 'visit']);
  expect(taskKinds(undefined)).toEqual([]);
});
