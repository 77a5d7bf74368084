import { describe, expect, it } from 'vitest';
import { between, isPicked, nobody, pickedCount, takeAll, withPeople } from './selection';

describe('selection', () => {
  it('picks and lets go one by one', () => {
    const two = withPeople(nobody, [3, 5], true);
    expect(pickedCount(two, 1000)).toBe(2);
    expect(isPicked(withPeople(two, [3], false), 3)).toBe(false);
    expect(nobody.picked.size).toBe(0);
  });
  it('takes all that match less those let go, also those never shown', () => {
    const most = withPeople(takeAll, [7], false);
    expect(pickedCount(most, 1081)).toBe(1080);
    expect(isPicked(most, 99_999)).toBe(true);
    expect(isPicked(most, 7)).toBe(false);
    expect(pickedCount(withPeople(most, [7], true), 1081)).toBe(1081);
  });
  it('spans a range in either direction', () => {
    expect(between([4, 9, 2, 7], 7, 9)).toEqual([9, 2, 7]);
    expect(between([4, 9], 1, 9)).toEqual([9]);
  });
});
