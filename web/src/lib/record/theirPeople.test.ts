import { ListSearch } from '$lib/list/search.svelte';
import { nobody, onlyThese, toBody } from '$lib/list/selection';
import { beforeEach, describe, expect, it, vi } from 'vitest';

const asked = vi.hoisted(() => vi.fn());
vi.mock('$lib/api/client', async (original) => ({
  ...(await original<typeof import('$lib/api/client')>()),
  api: { POST: asked }
}));

const { findTheirPeople } = await import('./theirPeople');

const usual = { columns: [], widths: {}, sortBy: null, descending: false };
const open = {
  match: 'ALL' as const,
  conditions: [{ field: 'stage', operator: 'ANY_OF' as const, values: ['open'] }],
  related: [],
  groups: []
};
let people: ListSearch;
let quotes: ListSearch;

beforeEach(() => {
  people = new ListSearch('people', usual);
  quotes = new ListSearch('quotes', usual);
  asked.mockReset();
});

describe('the people of records', () => {
  it('are all who have such a record when none is picked', async () => {
    await findTheirPeople(people, 'QUOTE', quotes, 'quotes', open, toBody(nobody, open));
    expect(people.selection.all).toBe(true);
    const [part] = people.draft.parts;
    expect(part?.is === 'related' && part.where.parts).toHaveLength(1);
    expect(asked).not.toHaveBeenCalled();
  });
  it('are those of the picked records alone', async () => {
    asked.mockResolvedValue({ data: { people: [4, 9] }, response: new Response() });
    quotes.selection = onlyThese([31, 32, 33]);
    await findTheirPeople(people, 'QUOTE', quotes, 'quotes', open, toBody(quotes.selection, open));
    expect([...people.selection.picked]).toEqual([4, 9]);
    expect(asked.mock.calls[0]?.[1].body.picks).toEqual([31, 32, 33]);
    expect(people.draft.parts[0]?.is).toBe('related');
  });
});
