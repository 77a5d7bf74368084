import { describe, expect, it } from 'vitest';
import { found } from './findable';

const none = { people: [], mailings: [], templates: [] };

describe('finder', () => {
  it('offers the screens before anything is typed', () => {
    expect(found('', none).map((f) => f.name)).toContain('People');
  });
  it('finds by any words, without case and accents', () => {
    const mailings = [{ id: 4, name: 'Été on the quay', state: 'DRAFT' }];
    expect(found('QUAY ete', { ...none, mailings })).toEqual([
      { name: 'Été on the quay', kind: 'mailing, draft', path: '/mailings/4' }
    ]);
  });
  it('shows the people whom the server found', () => {
    const people = [{ id: 7, name: 'Bea Okonjo' }];
    expect(found('okon', { ...none, people })[0]?.path).toBe('/people/7');
  });
});
