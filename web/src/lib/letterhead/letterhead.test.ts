import { describe, expect, it } from 'vitest';
import { contrast, fresh } from './letterhead';

describe('contrast', () => {
  it('is 21 to 1 between black and white, and 1 between the same', () => {
    expect(contrast('#000000', '#ffffff')).toBeCloseTo(21);
    expect(contrast('#46551f', '#46551f')).toBeCloseTo(1);
  });
  // WCAG 2.2, understanding 1.4.3: #767676 is the lightest grey for words on white.
  it('is just enough for the grey that the guidelines name', () => {
    expect(contrast('#767676', '#ffffff')).toBeGreaterThan(4.5);
    expect(contrast('#777777', '#ffffff')).toBeLessThan(4.5);
  });
  it('is enough in what a new letterhead begins with', () => {
    expect(contrast(fresh.bandInk, fresh.band)).toBeGreaterThan(4.5);
    expect(contrast(fresh.accent, fresh.paper)).toBeGreaterThan(4.5);
  });
});
