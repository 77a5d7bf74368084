import type { CheckResult } from '$lib/api/types';
import { manyLetters, manyPages, manySheets } from '$lib/format/paper';

/** What the letters of a mailing come to on paper, in words. */
export function sumWords(sum: NonNullable<CheckResult['paper']>): string {
  const both =
    sum.sheetsBothSides === sum.sheets
      ? manySheets(sum.sheets)
      : `${manySheets(sum.sheets)}, or ${manySheets(sum.sheetsBothSides)} printed on both sides`;
  if (sum.letters === 1) return `1 letter of ${manyPages(sum.pages)}: ${both}`;
  const each =
    sum.pages === sum.letters
      ? '1 page each'
      : `${manyPages(sum.pages)}, the longest of ${sum.longest}`;
  return `${manyLetters(sum.letters)}, ${each}: ${both}`;
}
