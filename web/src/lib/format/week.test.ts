import { expect, it } from 'vitest';
import { week } from './week.svelte';

it('begins a week on the day the house says, and on Monday where it says none', () => {
  const first = (day: string | undefined) => {
    week.beginOn(day);
    return week.first;
  };
  expect([first('SUNDAY'), first('MONDAY'), first('SATURDAY')]).toEqual([0, 1, 6]);
  expect(first(undefined)).toBe(1);
});
