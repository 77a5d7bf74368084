import type { Letters } from '$lib/api/types';
import { count } from '$lib/format/numbers';

/** "1 letter", "13 letters". */
export const manyLetters = (n: number) => (n === 1 ? '1 letter' : `${count(n)} letters`);

/** "1 page", "26 pages". */
export const manyPages = (n: number) => (n === 1 ? '1 page' : `${count(n)} pages`);

/** Whether some of a mailing's letters are on their way into a file. */
export const isBeingPrinted = (letters: Letters) =>
  letters.runs.some((run) => run.state === 'PRINTING');
