/** A text without case and accents, for finding (Unicode Standard Annex 15, NFKD). */
export function fold(text: string): string {
  return text
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase();
}

/** Whether a text has all the words of another, in any order. */
export function hasWords(text: string, words: string): boolean {
  const folded = fold(text);
  return fold(words)
    .split(/\s+/)
    .every((word) => folded.includes(word));
}
