import { describe, expect, it } from 'vitest';
import { triedTextWords } from './textService';

describe('a try of the text service', () => {
  it('names the step that failed, with what was said', () => {
    expect(triedTextWords({ failed: 'SIGN_IN', words: 'wrong password' })).toBe(
      'It does not let us in: wrong password.'
    );
  });
  it('says that all went well', () => {
    expect(triedTextWords({ failed: null, words: '' })).toBe('It can be reached, and lets us in.');
  });
});
