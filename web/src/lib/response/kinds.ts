import { calendarDay } from '$lib/format/dates';
import type { Latest, Standing } from '$lib/api/types';
import { byWay } from '$lib/ways/ways';
import type { Letter } from '$lib/ui/LetterMark.svelte';
import type { Tone } from '$lib/ui/Tally.svelte';

type Kind = Latest['kind'] | 'SENT' | 'TO_LEAVE' | 'POSTED' | 'POST_RETURNED';

/** How a kind is told ("Replied to “…”"), and its letter shape. */
const kinds: Record<Kind, { word: string; after: string; letter: Letter }> = {
  TO_LEAVE: { word: 'To leave', after: ': ', letter: 'waiting' },
  SENT: { word: 'Sent', after: '', letter: 'sent' },
  POSTED: { word: 'Posted', after: '', letter: 'sent' },
  POST_RETURNED: { word: 'Came back by post', after: ': ', letter: 'returned' },
  OPENED: { word: 'Opened', after: '', letter: 'opened' },
  MACHINE_OPENED: { word: 'Mail service fetched', after: '', letter: 'machine' },
  CLICKED: { word: 'Followed a link', after: 'in ', letter: 'clicked' },
  MACHINE_CLICKED: { word: 'Mail service tried a link', after: 'in ', letter: 'machine' },
  REPLIED: { word: 'Replied', after: 'to ', letter: 'replied' },
  AUTO_REPLIED: { word: 'Is away', after: ': automatic reply to ', letter: 'away' },
  RETURNED_HARD: { word: 'Came back for good', after: ': ', letter: 'returned' },
  RETURNED_SOFT: { word: 'Came back for now', after: ': ', letter: 'returned' },
  LEFT: { word: 'Left the list', after: 'by ', letter: 'left' },
  COMPLAINED: { word: 'Called it unwanted', after: ': ', letter: 'returned' }
};

/** How something that passed between us is told; an unknown kind by its own name. */
export function happening(kind: string): { word: string; after: string } {
  return kinds[kind as Kind] ?? { word: kind, after: '' };
}

/** The letter shape of a response. */
export function letterOf(kind: Latest['kind']): Letter {
  return kinds[kind].letter;
}

/** What software took a mail for that waits for a person, in words. */
export const taken: Record<string, string> = {
  Reply: 'looks like a reply',
  Complaint: 'a complaint',
  Returned: 'came back',
  Challenge: 'asks to be let through',
  UnreadReturn: 'a report in unknown words',
  NotRead: 'could not be read'
};

/** The letter shape, the tone and the words of where a message stands. */
export const standings: Record<Standing, { letter: Letter; tone: Tone; words: string }> = {
  REPLIED: { letter: 'replied', tone: 'deep', words: 'replied' },
  CLICKED: { letter: 'clicked', tone: 'mid', words: 'clicked' },
  OPENED: { letter: 'opened', tone: 'light', words: 'opened' },
  MACHINE_OPENED: { letter: 'machine', tone: 'machine', words: 'opened by a machine' },
  NOTHING: { letter: 'sent', tone: 'open', words: 'nothing yet' },
  AUTO_REPLIED: { letter: 'away', tone: 'look', words: 'auto-reply' },
  LEFT: { letter: 'left', tone: 'off', words: 'left the list' },
  RETURNED: { letter: 'returned', tone: 'bad', words: 'returned' }
};

/** One line of what just came in, after the name: "replied", "opened “Easter hours”". */
export function told(latest: Latest, named: boolean): string {
  const mailing = named ? ` “${latest.mailing}”` : ' it';
  switch (latest.kind) {
    case 'OPENED':
      return `opened${mailing}`;
    case 'MACHINE_OPENED':
      return named ? `’s mail service fetched${mailing}` : '’s mail service fetched it';
    case 'CLICKED':
      return named ? `followed a link in${mailing}` : 'followed a link';
    case 'MACHINE_CLICKED':
      return '’s mail service tried a link';
    case 'REPLIED':
      return 'replied';
    case 'AUTO_REPLIED':
      return 'is away';
    case 'RETURNED_HARD':
      return latest.channel === 'EMAIL'
        ? ': the mail came back for good'
        : `gets nothing ${byWay(latest.channel)}`;
    case 'RETURNED_SOFT':
      return latest.channel === 'EMAIL'
        ? ': the mail came back for now'
        : `: what went ${byWay(latest.channel)} did not arrive`;
    case 'LEFT':
      return 'left the list';
    default:
      return 'called it unwanted';
  }
}

/** The small print under it. */
export function smallPrint(latest: Latest): string {
  switch (latest.kind) {
    case 'MACHINE_OPENED':
    case 'MACHINE_CLICKED':
      return latest.secondsAfter !== null && latest.secondsAfter < 60
        ? `${latest.secondsAfter} s after it left, not counted as read`
        : 'not counted as read';
    case 'REPLIED':
      return latest.detail ? `“${latest.detail}”` : '';
    case 'AUTO_REPLIED':
      return latest.awayUntil
        ? `until ${calendarDay(latest.awayUntil)}; automatic, not counted as a reply`
        : 'automatic, not counted as a reply';
    case 'CLICKED':
      return latest.detail.replace(/^https?:\/\//, '');
    default:
      return latest.detail;
  }
}
