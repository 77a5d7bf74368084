import type { SeriesWay, SeriesWayStep } from '$lib/api/types';
import { describe, expect, it } from 'vitest';
import { nextStep, onBothClocks, standsWords, wayWords } from './way';

const step = (
  stands: SeriesWayStep['stands'],
  more: Partial<SeriesWayStep> = {}
): SeriesWayStep => ({
  stepId: 1,
  causeId: 2,
  place: 1,
  stands,
  at: '2026-06-01T22:30:00Z',
  why: '',
  came: null,
  ...more
});
const when = () => 'Mon 1 Jun, 09:00';
const today = new Date('2026-06-01T10:00:00Z');

describe('the way of one person', () => {
  it('says instants on both clocks, and the other day where it is another', () => {
    const at = '2026-06-01T08:00:00Z';
    expect(onBothClocks(at, 'Europe/London', 'Europe/London', today)).toBe('Mon 1 Jun, 09:00');
    expect(onBothClocks(at, 'Europe/London', 'Europe/Oslo', today)).toBe(
      'Mon 1 Jun, 09:00 (10:00 in Oslo)'
    );
    expect(onBothClocks('2026-06-01T22:30:00Z', 'Europe/London', 'Asia/Tokyo', today)).toBe(
      'Mon 1 Jun, 23:30 (Tue 2 Jun, 07:30 in Tokyo)'
    );
  });
  it('says how each step stands and why', () => {
    expect(standsWords(step('GOT', { came: 'OPENED' }), when)).toBe(
      'got it Mon 1 Jun, 09:00 · opened'
    );
    expect(standsWords(step('PASSED_OVER', { why: 'has no address' }), when)).toContain(
      'has no address'
    );
    expect(standsWords(step('AHEAD', { at: null, why: 'no hour comes' }), when)).toBe(
      'no hour comes'
    );
    expect(standsWords(step('WILL_NOT', { why: 'replied' }), when)).toBe('will not come: replied');
    expect(standsWords(step('HELD'), when)).toContain('waits for a colleague');
  });
  it('says where they stand and what is next', () => {
    const way = {
      entry: null,
      steps: [step('GOT'), step('SKIPPED', { place: 2 }), step('AHEAD', { place: 3 })]
    } as unknown as SeriesWay;
    expect(wayWords(way, 'ACTIVE')).toContain('would be');
    expect(wayWords(way, 'ENDED')).toBe('Was never in it.');
    const ended = { ...way, entry: { state: 'ENDED', endedWhy: 'replied' } } as SeriesWay;
    expect(wayWords(ended, 'ACTIVE')).toBe('Out: replied.');
    expect(nextStep(way)?.place).toBe(2);
  });
});
