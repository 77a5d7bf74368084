import type { Decision, Desk } from '$lib/api/types';
import { count, messages } from '$lib/format/numbers';

export interface Wanted {
  /** Whom it is about, shown strong. */
  about: string;
  words: string;
  detail: string;
  act: string;
  path: string;
}

/** What a person has to decide, and where. */
export function wanted(decision: Decision): Wanted {
  const many = decision.people > 1;
  const about = many ? `${count(decision.people)} messages` : decision.about;
  switch (decision.kind) {
    case 'nod':
      return {
        about: decision.about,
        words: `asks for your nod to ${messages(decision.people)} of “${decision.mailing}”`,
        detail: 'nothing leaves before',
        act: 'Look',
        path: `/mailings/${decision.mailingId}`
      };
    case 'nod_refused':
      return {
        about: decision.about,
        words: `gives no nod to “${decision.mailing}”`,
        detail: decision.reason,
        act: 'Look',
        path: `/mailings/${decision.mailingId}`
      };
    case 'in_doubt':
      return {
        about,
        words: many ? `in doubt in “${decision.mailing}”` : `: in doubt in “${decision.mailing}”`,
        detail: 'not sent again unasked',
        act: 'Settle',
        path: `/outbox?mailing=${decision.mailingId}&state=in_doubt`
      };
    case 'refused':
      return {
        about,
        words: many
          ? `refused by the mail server in “${decision.mailing}”`
          : `: refused by the mail server in “${decision.mailing}”`,
        detail: decision.reason,
        act: 'Look',
        path: `/outbox?mailing=${decision.mailingId}&state=refused`
      };
    case 'held':
      return {
        about,
        words: many ? `held back in “${decision.mailing}”` : `: held back in “${decision.mailing}”`,
        detail: decision.reason,
        act: 'Look',
        path: `/outbox?mailing=${decision.mailingId}&state=held`
      };
    case 'unplaced':
      return {
        about: many ? `${count(decision.people)} mails` : decision.about,
        words: many ? 'that software could not place' : ': a mail that software could not place',
        detail: decision.reason,
        act: 'Place',
        path: '/responses/unplaced'
      };
    case 'signed_up':
      return {
        about: many ? `${count(decision.people)} people` : decision.about,
        words: many
          ? `signed up at “${decision.mailing}” with other answers than on record`
          : `: signed up at “${decision.mailing}” with other answers than on record`,
        detail: '',
        act: 'Look',
        path: `/people/sign-ups/${decision.mailingId}?people`
      };
    default:
      return {
        about: many ? `${count(decision.people)} people` : decision.about,
        words: many ? `no longer reached by “${decision.mailing}”` : `: mail came back for good`,
        detail: many ? 'will not be written to again' : decision.reason,
        act: 'Look',
        path: `/responses/${decision.mailingId}?part=RETURNED`
      };
  }
}

/** One sentence on where things stand. */
export function headline(desk: Desk): string {
  const doubts = desk.decisions.length;
  const parts = [
    doubts === 0
      ? 'Nothing is stuck.'
      : doubts === 1
        ? '1 thing wants a decision.'
        : `${doubts} things want a decision.`
  ];
  const { toDepart, replies, tasks } = desk.counts;
  if (tasks) parts.push(`${count(tasks)} ${tasks === 1 ? 'task is' : 'tasks are'} due.`);
  parts.push(
    `${toDepart ? count(toDepart) : 'No'} ${toDepart === 1 ? 'message' : 'messages'} to leave, ${replies ? count(replies) : 'no'} ${replies === 1 ? 'reply' : 'replies'} since yesterday.`
  );
  return parts.join(' ');
}
