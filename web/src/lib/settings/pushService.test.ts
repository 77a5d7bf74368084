import { describe, expect, it } from 'vitest';
import { triedPushWords } from './pushService';

describe('a try of the push services', () => {
  it('names the step that failed', () => {
    expect(triedPushWords({ failed: 'REACH', words: 'https://push.example: no route' })).toBe(
      'It cannot be reached: https://push.example: no route.'
    );
  });
  it('says when all went well', () => {
    expect(triedPushWords({ failed: null, words: '' })).toBe('All can be reached.');
  });
});
