/** What became of a file of addresses. */
export interface BroughtIn {
  lines: number;
  added: number;
  /** The first of those that are no addresses. */
  wrong: string[];
}

/** "12 of 14 addresses are added; the others were there. No address: “Ann”." */
export function broughtInWords(result: BroughtIn, count: (n: number) => string): string {
  if (result.lines === 0) return 'There is no address in this file.';
  const there = result.lines - result.added - result.wrong.length;
  const others = there > 0 ? '; the others were there already' : '';
  const wrong = result.wrong.length
    ? ` No address: ${result.wrong.map((w) => `“${w}”`).join(', ')}.`
    : '';
  return `${count(result.added)} of ${count(result.lines)} addresses are added${others}.${wrong}`;
}
