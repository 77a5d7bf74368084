import { describe, expect, it } from 'vitest';
import { ApiProblem } from './client';
import { instead } from './instead';

const over = new ApiProblem(401, 'You are not signed in any more.', '');
const gone = new ApiProblem(404, 'There is no such letterhead.', '');

describe('what is shown instead of an answer', () => {
  it('is nothing as long as nothing is wrong', () => {
    expect(instead({ data: undefined, error: null })).toBeNull();
    expect(instead({ data: 'the form', error: null })).toBeNull();
  });

  it('is the trouble when there is nothing to show', () => {
    expect(instead({ data: undefined, error: over })).toBe(over);
  });

  it('leaves a form standing whose question failed when it was asked again', () => {
    expect(instead({ data: 'the form', error: over })).toBeNull();
  });

  it('is the trouble when the thing is gone', () => {
    expect(instead({ data: 'the form', error: gone })).toBe(gone);
  });
});
