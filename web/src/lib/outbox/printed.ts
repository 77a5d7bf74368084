import type { LetterRun, Letters } from '$lib/api/types';
import { manyLetters, manyPages, manySheets } from '$lib/format/paper';

/** What lies in the file: documents are laid on pages by whoever opens them. */
export function printedWords(run: LetterRun): string {
  if (run.ofDocument) return `${manyLetters(run.pages)} in one document`;
  const sheets = run.sheets === run.pages ? '' : `, ${manySheets(run.sheets)}`;
  return `${manyLetters(run.letters)} on ${manyPages(run.pages)}${sheets}`;
}

/** Whether some of a mailing's letters are on their way into a file. */
export const isBeingPrinted = (letters: Letters) =>
  letters.runs.some((run) => run.state === 'PRINTING');
