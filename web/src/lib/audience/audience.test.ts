import { describe, expect, it } from 'vitest';
import { audienceWords, listFilter } from './audience';

const part = (words: string) => ({ name: words, filter: listFilter(words), words });

describe('an audience in words', () => {
  it('says every part, the picks, and who is left out', () => {
    expect(audienceWords([part('Members'), part('Work party')], 3, [part('Committee')])).toBe(
      'Members, and Work party, and 3 picked by hand, without Committee'
    );
    expect(audienceWords([], 0, [])).toBe('Nobody yet');
  });
});
