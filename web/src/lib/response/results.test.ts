import type { CoursePoint } from '$lib/api/types';
import { describe, expect, test } from 'vitest';
import { besides, byOf, curve, roundTop, shareWords, shortLink, viewOf } from './results';

const share = (low: number, at: number, high: number) => ({ low, share: at, high });

describe('results', () => {
  test('an unknown view is that of people, an unknown group the plan', () => {
    expect(viewOf('links')).toBe('links');
    expect(viewOf('nonsense')).toBe('people');
    expect(byOf(null)).toBe('PLAN');
  });

  test('a curve goes from the bottom left to as high as its count', () => {
    const points: CoursePoint[] = [
      { at: '2026-03-24T09:00', read: 0, clicked: 0, replied: 0 },
      { at: '2026-03-24T10:00', read: 5, clicked: 1, replied: 0 },
      { at: '2026-03-24T11:00', read: 10, clicked: 1, replied: 1 }
    ];
    expect(curve(points, 'read', 10, 100, 50)).toBe('0.0,50.0 50.0,25.0 100.0,0.0');
    expect(curve(points.slice(0, 1), 'read', 0, 100, 50)).toBe('0.0,50.0');
  });

  test('the top of a scale is a number that is easily read', () => {
    expect([3, 7, 18, 21, 42, 183, 999, 1001].map(roundTop)).toEqual([
      5, 10, 20, 25, 50, 200, 1000, 2000
    ]);
  });

  test('a share is said with its interval', () => {
    expect(shareWords(share(0.1, 0.2, 0.35))).toBe('20.0% (10.0–35.0%)');
    expect(shareWords(null)).toBe('–');
  });

  test('only what does not overlap is more or fewer', () => {
    expect(besides(share(0.4, 0.5, 0.6), share(0.1, 0.2, 0.3))).toBe('more');
    expect(besides(share(0.1, 0.2, 0.3), share(0.4, 0.5, 0.6))).toBe('fewer');
    expect(besides(share(0.1, 0.2, 0.45), share(0.4, 0.5, 0.6))).toBe('alike');
    expect(besides(null, share(0.4, 0.5, 0.6))).toBe('alike');
  });

  test('a link is shown without what every link begins with', () => {
    expect(shortLink('https://www.ternquay.example/news/')).toBe('ternquay.example/news');
  });
});
