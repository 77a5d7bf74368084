import { describe, expect, it } from 'vitest';
import { triedWords } from './mailServer';

describe('a try of the mail server', () => {
  it('names the step that failed, with what was said', () => {
    expect(triedWords({ failed: 'SIGN_IN', words: '535 5.7.8 wrong password' })).toBe(
      'It does not take the user and password: 535 5.7.8 wrong password'
    );
    expect(triedWords({ failed: null, words: '' })).toMatch(/^All is well/);
  });
});
