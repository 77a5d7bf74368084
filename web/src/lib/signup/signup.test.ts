import { describe, expect, it } from 'vitest';
import { cameOf, fresh, hearsOf, keyOf, moved, unwritten, withLanguage } from './signup';

describe('the address of a sign-up page', () => {
  it.each([
    ['Harbour news', 'harbour-news'],
    ['  Été à Brest! ', 'ete-a-brest'],
    ['---', ''],
    ['北の港', ''],
    ['x'.repeat(80), 'x'.repeat(60)]
  ])('of “%s” is “%s”', (name, key) => expect(keyOf(name)).toBe(key));
});

describe('what it asks', () => {
  it('moves one place and stays at the ends', () => {
    expect(moved(['a', 'b', 'c'], 1, -1)).toEqual(['b', 'a', 'c']);
    expect(moved(['a', 'b', 'c'], 0, -1)).toEqual(['a', 'b', 'c']);
    expect(moved(['a', 'b', 'c'], 2, 1)).toEqual(['a', 'b', 'c']);
  });
});

describe('languages', () => {
  it('begin with the words of the main one', () => {
    const page = withLanguage(fresh(), 'DE');
    expect(page.words.map((w) => w.language)).toEqual(['EN', 'DE']);
    expect(page.words[1]?.words).toEqual(page.words[0]?.words);
    expect(unwritten(page)).toEqual(['FR', 'NO', 'ES']);
  });
});

describe('what came of it', () => {
  it('is a sentence', () => {
    const numbers = { page: 1, saw: 412, began: 120, asked: 80, confirmed: 61, looks: 0 };
    expect(cameOf({ numbers })).toBe('412 saw it · 120 began · 80 asked · 61 confirmed');
    expect(cameOf({ numbers: { ...numbers, saw: 0 } })).toBe('Nobody has seen it yet');
  });
});

describe('what one hears of', () => {
  it.each([
    [[1], null, 'Who is new hears of what they tick, and of nothing else.'],
    [
      [1],
      2,
      'Who is new hears of what they tick and of the topic of the series, and of nothing else.'
    ],
    [[], 2, 'Who is new hears of the topic of the series, and of nothing else.'],
    [[], null, 'Without topics to tick, who is new hears of everything the house writes about.']
  ])('%s, series %s', (topics, series, words) => expect(hearsOf({ topics, series })).toBe(words));
});
