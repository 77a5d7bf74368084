import type { MailServer, MailServerTried } from '$lib/api/types';

/** How a connection is protected, in words. */
export const protection: Record<MailServer['security'], string> = {
  NONE: 'Not protected',
  STARTTLS: 'Protected by STARTTLS',
  TLS: 'Protected by TLS'
};

const failures: Record<NonNullable<MailServerTried['failed']>, string> = {
  REACH: 'It cannot be reached',
  GREETING: 'It answers, but not as a mail server that takes mail',
  PROTECTION: 'The connection cannot be protected',
  SIGN_IN: 'It does not take the user and password',
  READY: 'It greets, and then does not go on'
};

/** What a try came to, with the step that failed. */
export function triedWords(tried: MailServerTried): string {
  return tried.failed
    ? `${failures[tried.failed]}: ${tried.words}`
    : 'All is well: it can be reached, and waits for messages.';
}
