import type { Filter } from '$lib/api/types';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { everyone, type FilterDraft } from './draft';
import { TypedSearch, withTyped, type Typed } from './typed.svelte';

const plan: Filter['conditions'][number] = {
  field: 'plan',
  operator: 'ANY_OF',
  values: ['Full']
};
const members: Filter['conditions'][number] = {
  field: 'kind',
  operator: 'ANY_OF',
  values: ['member']
};
const of = (...conditions: Filter['conditions']): Filter => ({
  match: 'ALL',
  conditions,
  related: [],
  groups: []
});

beforeEach(() => vi.useFakeTimers());
afterEach(() => vi.useRealTimers());

function search(read: (text: string) => Promise<Typed>) {
  let draft: FilterDraft = everyone;
  const typed = new TypedSearch(
    'people',
    () => draft,
    (changed) => (draft = changed),
    (_, text) => read(text)
  );
  return { typed, draft: () => draft };
}

const reads = (filter: Filter, unknown: string[] = []) =>
  vi.fn((text: string) => Promise.resolve({ filter, words: text, unknown }));

test('what is typed stands as conditions while one types, once for all letters', async () => {
  const read = reads(of(members, plan));
  const { typed, draft } = search(read);
  for (const text of ['m', 'me', 'members full']) typed.type(text);
  await vi.advanceTimersByTimeAsync(200);
  expect(read).toHaveBeenCalledTimes(1);
  expect(draft().kinds).toEqual(['member']);
  expect(draft().parts).toEqual([{ is: 'condition', condition: plan }]);
});

test('Escape brings back what was there before', async () => {
  const { typed, draft } = search(reads(of(plan), ['zebra']));
  typed.type('full zebra');
  await vi.advanceTimersByTimeAsync(200);
  expect(typed.unknown).toEqual(['zebra']);
  typed.undo();
  expect(draft()).toEqual(everyone);
  expect(typed.text).toBe('');
});

test('Enter takes what was typed last, also before it was read', async () => {
  const { typed, draft } = search(reads(of(plan)));
  typed.type('full');
  const settled = typed.settle();
  await vi.advanceTimersByTimeAsync(200);
  expect(await settled).toBe(true);
  expect(draft().parts).toHaveLength(1);
  typed.type('full');
  await vi.advanceTimersByTimeAsync(200);
  expect(draft().parts).toHaveLength(2);
});

test('nothing is done with what is not all understood', async () => {
  const { typed } = search(reads(of(members), ['lapsd']));
  typed.type('members not lapsd');
  const settled = typed.settle();
  await vi.advanceTimersByTimeAsync(200);
  expect(await settled).toBe(false);
  expect(typed.text).toBe('members not lapsd');
  expect(typed.unknown).toEqual(['lapsd']);
});

test('trouble keeps what was typed', async () => {
  const { typed, draft } = search(() => Promise.reject(new Error('Jemble cannot be reached.')));
  typed.type('full');
  const settled = typed.settle();
  await vi.advanceTimersByTimeAsync(200);
  expect(await settled).toBe(false);
  expect(typed.text).toBe('full');
  expect(typed.trouble).toBe('Jemble cannot be reached.');
  expect(draft()).toEqual(everyone);
});

test('conditions of which any is enough stay together', () => {
  const base: FilterDraft = {
    kinds: ['lead'],
    match: 'ANY',
    parts: [{ is: 'condition', condition: plan }]
  };
  const both = withTyped(base, of(plan));
  expect(both.match).toBe('ALL');
  expect(both.kinds).toEqual(['lead']);
  expect(both.parts[0]).toEqual({
    is: 'group',
    group: { match: 'ANY', parts: base.parts }
  });
});
