import { describe, expect, it } from 'vitest';
import { labelAt, millimetres, takes } from './paper';

describe('lengths', () => {
  it.each([
    ['2', 2],
    ['2,5', 2.5],
    ['-0.7 mm', -0.7],
    ['0.1 in', 2.54],
    ['1/4 in', 6.35],
    ['2"', 50.8],
    ['1/0', null],
    ['two', null],
    ['', null]
  ])('reads %s', (typed, mm) => {
    expect(millimetres(typed)).toBe(mm);
  });
});

describe('a sheet', () => {
  const sheet = {
    name: '',
    paper: 'A4' as const,
    across: 3,
    down: 7,
    left: 7.21,
    top: 15.15,
    width: 63.5,
    height: 38.1,
    pitchAcross: 66.04,
    pitchDown: 38.1
  };

  it('has its labels row by row', () => {
    expect(labelAt(sheet, 0)).toEqual({ left: 7.21, top: 15.15 });
    expect(labelAt(sheet, 4).left).toBeCloseTo(73.25);
    expect(labelAt(sheet, 4).top).toBeCloseTo(53.25);
  });
});

describe('what it takes', () => {
  it('counts copies', () => {
    expect(takes({ people: 30, copies: 2, sheets: 3 })).toBe('60 labels on 3 sheets');
    expect(takes({ people: 1, copies: 1, sheets: 1 })).toBe('1 label on 1 sheet');
  });
});
