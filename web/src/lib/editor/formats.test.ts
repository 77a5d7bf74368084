import { describe, expect, it } from 'vitest';
import { formatWords, formatsOf } from './formats';

describe('how a value may be written', () => {
  it('depends on its type, the usual way first', () => {
    expect(formatsOf('MONEY', 'as money')[0]).toEqual({ value: 'as money', name: '£1,042.50' });
    expect(formatsOf('DAY', '')[0]?.name).toBe('4 April 2026');
    expect(formatsOf('TEXT', '').map((f) => f.value)).toEqual(['', 'as capitals']);
    expect(formatsOf('PICTURE', '')).toHaveLength(1);
  });
  it('keeps what was written by hand among the choices', () => {
    const formats = formatsOf('DAY', 'as "dd.MM.yy"');
    expect(formats[0]).toEqual({ value: 'as "dd.MM.yy"', name: '"dd.MM.yy"' });
    expect(formats.length).toBe(formatsOf('DAY', '').length + 1);
  });
  it('offers the hour for instants alone', () => {
    const hour = 'as "HH:mm"';
    expect(formatsOf('INSTANT', '').some((f) => f.value === hour)).toBe(true);
    expect(formatsOf('DAY', '').some((f) => f.value === hour)).toBe(false);
  });
  it('reads by its example', () => {
    expect(formatWords('as "EEEE d MMMM"')).toBe('as Saturday 4 April');
    expect(formatWords('as money')).toBe('as money');
    expect(formatWords('as "dd.MM.yy"')).toBe('as "dd.MM.yy"');
  });
});
