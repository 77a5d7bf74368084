import type { OutsideService, ServiceTried } from '$lib/api/types';

export type ServiceKind = OutsideService['kind'];
export type Protection = OutsideService['protection'];

/** How a connection is protected, in words. */
export const protections: Record<Protection, string> = {
  TLS: 'TLS',
  STARTTLS: 'STARTTLS',
  NONE: 'none'
};

/** The ports that are usual for each (RFC 6409, RFC 8314, RFC 9051, SMPP). */
const usualPorts: Record<ServiceKind, Record<Protection, number>> = {
  MAIL_SERVER: { NONE: 25, STARTTLS: 587, TLS: 465 },
  MAILBOX: { NONE: 143, STARTTLS: 143, TLS: 993 },
  TEXT_SERVICE: { NONE: 2775, STARTTLS: 2775, TLS: 3550 }
};

/** The port that goes with another protection; one that was chosen by hand stays. */
export function portFor(kind: ServiceKind, port: number, wanted: Protection): number {
  return Object.values(usualPorts[kind]).includes(port) ? usualPorts[kind][wanted] : port;
}

const failures: Record<NonNullable<ServiceTried['failed']>, string> = {
  SET: 'There is none',
  SENDER: 'The sender is none that phones show',
  REACH: 'It cannot be reached',
  GREETING: 'It answers, but not as it should',
  PROTECTION: 'The connection cannot be protected',
  SIGN_IN: 'It does not take the user and password',
  READY: 'It lets us in, and then does not go on'
};

const wells: Record<ServiceKind, string> = {
  MAIL_SERVER: 'All is well: it can be reached, and waits for messages.',
  MAILBOX: 'All is well: it can be reached and read.',
  TEXT_SERVICE: 'All is well: it can be reached, and lets us in.'
};

/** What a try came to, with the step that failed and what was said there. */
export function triedWords(kind: ServiceKind, tried: ServiceTried): string {
  return tried.failed
    ? `${failures[tried.failed]}: ${tried.words.replace(/\.$/, '')}.`
    : wells[kind];
}

/** Where a service is, in a line. */
export function placeWords(service: OutsideService): string {
  const user = service.user ? `signs in as ${service.user}` : 'without signing in';
  return `${service.host}, port ${service.port}; protection: ${protections[service.protection]}; ${user}`;
}
