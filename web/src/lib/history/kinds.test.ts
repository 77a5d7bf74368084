import { expect, test } from 'vitest';
import { change } from './kinds';

test('what is different is said in a line', () => {
  expect(change({ before: 'role READER', after: 'role COORDINATOR' })).toBe(
    'role READER, now role COORDINATOR'
  );
  expect(change({ before: '', after: 'as CSV' })).toBe('as CSV');
  expect(change({ before: 'gone', after: '' })).toBe('gone');
  expect(change({ before: '', after: '' })).toBe('');
});
