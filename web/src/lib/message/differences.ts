import { diffWordsWithSpace, type Change } from 'diff';

/** What differs between two texts, word by word. */
export function differences(before: string, after: string): Change[] {
  return diffWordsWithSpace(before, after);
}
