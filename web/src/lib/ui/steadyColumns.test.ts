import { describe, expect, it } from 'vitest';
import { fitted } from './steadyColumns';

describe('columns of a table', () => {
  it('are as wide as they want to be where there is room', () => {
    expect(fitted([100, 50], [true, false], 200)).toEqual([100, 50]);
  });
  it('give way where they are marked, in proportion', () => {
    expect(fitted([400, 200, 50], [true, true, false], 350)).toEqual([200, 100, 50]);
  });
  it('keep as much as can be read', () => {
    expect(fitted([300, 40, 200], [true, true, false], 250)).toEqual([72, 40, 200]);
  });
  it('keep as much as one of them says', () => {
    expect(fitted([300, 300, 100], [true, true, false], 400, [180, 72, 72])).toEqual([
      180, 150, 100
    ]);
  });
  it('are left to shrink alike where that is not enough, or none is marked', () => {
    expect(fitted([40, 300], [true, false], 200)).toEqual([40, 300]);
    expect(fitted([200, 200], [false, false], 200)).toEqual([200, 200]);
  });
});
