import { expect, it } from 'vitest';
import { told } from './saving';

const change = (by: string) => ({
  id: 1,
  act: 1,
  field: 'phone',
  before: '',
  after: '',
  at: '2026-01-01T00:00:00Z',
  by,
  words: 'Changed Phone',
  undone: false,
  mayBeUndone: false
});

it('names who changed something meanwhile, once each', () => {
  expect(told([])).toBe('');
  expect(told([change('Tomas Vance'), change('Tomas Vance')])).toBe(
    ' Tomas Vance changed other fields meanwhile.'
  );
  expect(told([change('Tomas Vance'), change('Wilma Gorse')])).toContain('and Wilma Gorse');
});
