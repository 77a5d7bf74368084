import type { OccasionBody, OccasionTurn, OccasionView } from '$lib/api/types';

export const LEAVES: { value: OccasionBody['leaves']; name: string }[] = [
  { value: 'NOD', name: 'after a nod' },
  { value: 'ITSELF', name: 'by itself' },
  { value: 'TASK', name: 'not at all: it reminds me with a task' }
];

export const STATES: Record<OccasionView['state'], string> = {
  DRAFT: 'not begun',
  ACTIVE: 'active',
  PAUSED: 'paused'
};

/** What a new standing mailing begins with. */
export const fresh = (topicId: number): OccasionBody => ({
  name: '',
  topicId,
  field: 'birthday',
  kind: 'YEARLY',
  offset: 0,
  rounds: [],
  whom: [],
  at: '09:00',
  leaves: 'NOD',
  card: null,
  subject: '',
  body: '',
  letterheadId: null,
  ways: null,
  version: 0
});

/** Round years as they are typed: "10, 25 50" is 10, 25 and 50. Nothing when it is no such list. */
export function roundsOf(typed: string): number[] | undefined {
  const parts = typed.split(/[\s,;]+/).filter(Boolean);
  const years = parts.map(Number);
  return years.every((y) => Number.isInteger(y) && y >= 1 && y <= 150) ? years : undefined;
}

/** When it is said: "a week before" is −7 days. */
export function offsetWords(days: number): string {
  if (days === 0) return 'on the day';
  const many = Math.abs(days) === 1 ? 'a day' : `${Math.abs(days)} days`;
  return `${many} ${days < 0 ? 'before' : 'after'}`;
}

/** In a line: "birthday · on the day at 09:00 · after a nod · only 25, 50". */
export function inWords(of: OccasionBody, field: string): string {
  const leaves = LEAVES.find((l) => l.value === of.leaves)?.name ?? '';
  const rounds = of.rounds.length > 0 ? ` · only ${of.rounds.join(', ')} years` : '';
  return `${field} · ${offsetWords(of.offset)} at ${of.at.slice(0, 5)} · ${leaves}${rounds}`;
}

/** How many years: "36 years", nothing for a dated day. */
export function yearsWords(turn: Pick<OccasionTurn, 'years'>): string {
  if (turn.years === 0) return '';
  return turn.years === 1 ? '1 year' : `${turn.years} years`;
}

/** Where a turn stands, where that is not said by what can be done with it. */
export function standsWords(turn: OccasionTurn): string {
  switch (turn.state) {
    case 'NODDED':
      return turn.leaves === 'NOD' ? 'nodded, leaves at its hour' : 'leaves at its hour';
    case 'SENT':
      return 'on its way';
    case 'TASK':
      return 'a task reminds you';
    case 'MISSED':
      return `missed: ${turn.reason}`;
    default:
      return turn.leaves === 'TASK' ? 'a task will remind you' : 'awaits a nod';
  }
}

/** What is done with one that was missed, and what is said then. */
export function lateWords(turn: Pick<OccasionTurn, 'leaves'>): { act: string; done: string } {
  return turn.leaves === 'TASK'
    ? { act: 'Make the task', done: 'The task is made.' }
    : { act: 'Send it late', done: 'It leaves now.' };
}

/** What was missed, today's, and the rest of the week's. */
export function inParts(turns: OccasionTurn[], today: string) {
  return {
    missed: turns.filter((t) => t.state === 'MISSED'),
    today: turns.filter((t) => t.state !== 'MISSED' && t.saidOn <= today),
    later: turns.filter((t) => t.state !== 'MISSED' && t.saidOn > today)
  };
}

/** Those that wait for a nod. */
export function awaiting(turns: OccasionTurn[]): OccasionTurn[] {
  return turns.filter((t) => t.state === 'AWAITS' && t.leaves === 'NOD');
}
