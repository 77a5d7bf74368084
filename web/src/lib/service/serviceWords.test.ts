import { describe, expect, it } from 'vitest';
import { portFor, triedWords } from './serviceWords';

describe('a try of a service', () => {
  it('names the step that failed, with what was said', () => {
    expect(
      triedWords('MAIL_SERVER', { failed: 'SIGN_IN', words: '535 5.7.8 wrong password.' })
    ).toBe('It does not take the user and password: 535 5.7.8 wrong password.');
    expect(triedWords('MAILBOX', { failed: null, words: '' })).toMatch(/^All is well/);
  });
});

describe('the port', () => {
  it('follows the protection', () => {
    expect(portFor('MAIL_SERVER', 587, 'TLS')).toBe(465);
    expect(portFor('MAILBOX', 993, 'STARTTLS')).toBe(143);
  });
  it('stays where it was chosen by hand', () => {
    expect(portFor('MAIL_SERVER', 2525, 'TLS')).toBe(2525);
  });
});
