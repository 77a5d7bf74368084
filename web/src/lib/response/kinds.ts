import type { Latest, Standing } from '$lib/api/types';
import type { Letter } from '$lib/ui/LetterMark.svelte';
import type { Tone } from '$lib/ui/Tally.svelte';

type Kind = Latest['kind'] | 'SENT';

/** How something that passed between us is told: "Replied to “…”". */
export function happening(kind: string): { word: string; after: string } {
  const told: Record<Kind, { word: string; after: string }> = {
    SENT: { word: 'Sent', after: '' },
    OPENED: { word: 'Opened', after: '' },
    MACHINE_OPENED: { word: 'Mail service fetched', after: '' },
    CLICKED: { word: 'Followed a link', after: 'in ' },
    MACHINE_CLICKED: { word: 'Mail service tried a link', after: 'in ' },
    REPLIED: { word: 'Replied', after: 'to ' },
    AUTO_REPLIED: { word: 'Is away', after: ': automatic reply to ' },
    RETURNED_HARD: { word: 'Came back for good', after: ': ' },
    RETURNED_SOFT: { word: 'Came back for now', after: ': ' },
    LEFT: { word: 'Left the list', after: 'by ' },
    COMPLAINED: { word: 'Called it unwanted', after: ': ' }
  };
  return told[kind as Kind] ?? { word: kind, after: '' };
}

/** The letter shape of a response. */
export function letterOf(kind: Latest['kind']): Letter {
  const letters: Record<Latest['kind'], Letter> = {
    OPENED: 'opened',
    MACHINE_OPENED: 'machine',
    CLICKED: 'clicked',
    MACHINE_CLICKED: 'machine',
    REPLIED: 'replied',
    AUTO_REPLIED: 'away',
    RETURNED_HARD: 'returned',
    RETURNED_SOFT: 'returned',
    LEFT: 'left',
    COMPLAINED: 'returned'
  };
  return letters[kind];
}

/** The letter shape and the tone of where a message stands. */
export const standings: Record<Standing, { letter: Letter; tone: Tone }> = {
  REPLIED: { letter: 'replied', tone: 'deep' },
  CLICKED: { letter: 'clicked', tone: 'mid' },
  OPENED: { letter: 'opened', tone: 'light' },
  MACHINE_OPENED: { letter: 'machine', tone: 'machine' },
  NOTHING: { letter: 'sent', tone: 'open' },
  AUTO_REPLIED: { letter: 'away', tone: 'look' },
  LEFT: { letter: 'left', tone: 'off' },
  RETURNED: { letter: 'returned', tone: 'bad' }
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
      return ': the mail came back for good';
    case 'RETURNED_SOFT':
      return ': the mail came back for now';
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
      return 'automatic, not counted as a reply';
    case 'CLICKED':
      return latest.detail.replace(/^https?:\/\//, '');
    default:
      return latest.detail;
  }
}
