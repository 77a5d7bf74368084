import { describe, expect, it } from 'vitest';
import {
  between,
  isPicked,
  nobody,
  onlyThese,
  pickedCount,
  takeAll,
  toBody,
  withRows
} from './selection';

const filter = { match: 'ANY' as const, conditions: [], related: [], groups: [] };

describe('selection', () => {
  it('picks and lets go one by one', () => {
    const two = withRows(nobody, [3, 5], true);
    expect(pickedCount(two, 1000)).toBe(2);
    expect(isPicked(withRows(two, [3], false), 3)).toBe(false);
    expect(nobody.picked.size).toBe(0);
  });
  it('takes all that match less those let go, also those never shown', () => {
    const most = withRows(takeAll(), [7], false);
    expect(pickedCount(most, 1081)).toBe(1080);
    expect(isPicked(most, 99_999)).toBe(true);
    expect(isPicked(most, 7)).toBe(false);
    expect(pickedCount(withRows(most, [7], true), 1081)).toBe(1081);
  });
  it('takes all of one reach and no others', () => {
    const ready = takeAll('READY');
    expect(isPicked(ready, 1, 'READY')).toBe(true);
    expect(isPicked(ready, 1, 'NO_ADDRESS')).toBe(false);
  });
  it('spans a range in either direction', () => {
    expect(between([4, 9, 2, 7], 7, 9)).toEqual([9, 2, 7]);
    expect(between([4, 9], 1, 9)).toEqual([9]);
  });
  it('is told to the server by its filter only when all were taken', () => {
    expect(toBody(withRows(takeAll('READY'), [7], false), filter)).toEqual({
      filter,
      reach: 'READY',
      picks: null,
      leftOut: [7],
      archived: false
    });
    expect(toBody(onlyThese([3]), filter).filter.match).toBe('ALL');
    expect(toBody(onlyThese([3]), filter).picks).toEqual([3]);
  });
});
