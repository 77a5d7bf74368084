import type { Letter } from '$lib/ui/LetterMark.svelte';
import type { Tone } from '$lib/ui/Tally.svelte';

/** The states of a message in the outbox, in the order of the tally. */
export const states: Record<string, { words: string; tone: Tone; letter: Letter }> = {
  waiting: { words: 'waiting', tone: 'good', letter: 'waiting' },
  to_print: { words: 'on paper, to print or post', tone: 'light', letter: 'waiting' },
  sending: { words: 'leaving', tone: 'light', letter: 'sent' },
  deferred: { words: 'put off by the mail server', tone: 'look', letter: 'waiting' },
  held: { words: 'held', tone: 'look', letter: 'waiting' },
  in_doubt: { words: 'in doubt', tone: 'look', letter: 'doubt' },
  refused: { words: 'refused', tone: 'bad', letter: 'returned' },
  withdrawn: { words: 'withdrawn', tone: 'off', letter: 'left' }
};

export type Act = 'withdraw' | 'try-again' | 'arrived' | 'lost';

/** What a person can do about a message. */
export function acts(state: string): { act: Act; words: string }[] {
  switch (state) {
    case 'waiting':
      return [
        { act: 'try-again', words: 'Send now' },
        { act: 'withdraw', words: 'Withdraw' }
      ];
    case 'to_print':
      return [{ act: 'withdraw', words: 'Withdraw' }];
    case 'deferred':
      return [
        { act: 'try-again', words: 'Try now' },
        { act: 'withdraw', words: 'Withdraw' }
      ];
    case 'held':
    case 'refused':
      return [
        { act: 'try-again', words: 'Try again' },
        { act: 'withdraw', words: 'Withdraw' }
      ];
    case 'in_doubt':
      return [
        { act: 'arrived', words: 'It arrived' },
        { act: 'lost', words: 'Send it again' }
      ];
    case 'withdrawn':
      return [{ act: 'try-again', words: 'Send after all' }];
    default:
      return [];
  }
}
