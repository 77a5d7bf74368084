// @vitest-environment happy-dom
import { describe, expect, it } from 'vitest';
import { wordsOf } from '$lib/format/wordsOf';
import { darkened, framed } from '$lib/letter/framed';
import { differences } from './differences';

describe('comparing', () => {
  it('goes word by word, a line for each paragraph', () => {
    const before = wordsOf('<p>Come by.</p><ul><li><p>one</p></li></ul>');
    expect(before).toBe('Come by.\none');
    const parts = differences(before, wordsOf('<p>Come by soon.</p><ul><li><p>one</p></li></ul>'));
    expect(parts.filter((p) => p.added).map((p) => p.value.trim())).toEqual(['soon']);
  });
});

it('shows what is said for the dark', () => {
  expect(darkened('<style>@media (prefers-color-scheme: dark){p{}}</style>')).toBe(
    '<style>@media all{p{}}</style>'
  );
});

it('has bars of the house to scroll with, and is the same letter else', () => {
  const html = '<html><head><title>x</title></head><body>Dear Ann</body></html>';
  expect(framed(html)).toContain('scrollbar-width: thin');
  expect(framed(html).replace(/<style>.*?<\/style>/, '')).toBe(html);
});
