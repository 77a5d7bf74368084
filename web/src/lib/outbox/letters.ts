import type { LetterRun, Letters } from '$lib/api/types';
import { count } from '$lib/format/numbers';

/** "1 letter", "13 letters". */
export const manyLetters = (n: number) => (n === 1 ? '1 letter' : `${count(n)} letters`);

/** "1 page", "26 pages". */
export const manyPages = (n: number) => (n === 1 ? '1 page' : `${count(n)} pages`);

/** What lies in the file: documents are laid on pages by whoever opens them. */
export const printedWords = (run: LetterRun) =>
  run.ofDocument
    ? `${manyLetters(run.pages)} in one document`
    : `${manyLetters(run.letters)} on ${manyPages(run.pages)}`;

/** Whether some of a mailing's letters are on their way into a file. */
export const isBeingPrinted = (letters: Letters) =>
  letters.runs.some((run) => run.state === 'PRINTING');
