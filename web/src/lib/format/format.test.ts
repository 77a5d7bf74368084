import { describe, expect, it } from 'vitest';
import {
  calendarDay,
  clock,
  dayAndTime,
  daysAgo,
  daysBetween,
  isoDay,
  lately,
  wallTime,
  zoneCity
} from './dates';
import { afterName, count, people, percent, shortName } from './numbers';

const now = new Date('2026-03-27T12:00:00Z');

describe('days and times', () => {
  it('reads on the clock of the zone, not of the browser', () => {
    expect(clock('2026-03-24T09:00:00Z', 'Europe/London')).toBe('09:00');
    expect(clock('2026-03-24T09:00:00Z', 'America/Halifax')).toBe('06:00');
    expect(clock('2026-03-24T00:30:00Z', 'Europe/London')).toBe('00:30');
  });
  it('names the weekday, and the year only when it is another', () => {
    expect(dayAndTime('2026-03-24T09:00:00Z', 'Europe/London', now)).toBe('Tue 24 Mar, 09:00');
    expect(dayAndTime('2025-03-24T09:00:00Z', 'Europe/London', now)).toBe('Mon 24 Mar 2025, 09:00');
  });
  it('counts days of the calendar across the change to summer time', () => {
    // 29 March 2026 has 23 hours in London.
    expect(daysBetween('2026-03-28T12:00:00Z', '2026-03-30T11:00:00Z', 'Europe/London')).toBe(2);
  });
  it('gives the day of the calendar of the zone', () => {
    expect(isoDay('2026-03-24T22:30:00Z', 'Asia/Tokyo')).toBe('2026-03-25');
    expect(isoDay('2026-03-24T22:30:00Z', 'America/Halifax')).toBe('2026-03-24');
  });
  it('says lately what people say', () => {
    expect(lately('2026-03-27T08:05:00Z', 'Europe/London', now)).toBe('08:05');
    expect(lately('2026-03-26T23:30:00Z', 'Europe/London', now)).toBe('yesterday, 23:30');
    expect(daysAgo('2026-03-24T23:30:00Z', 'Europe/London', now)).toBe('3 days ago');
    expect(daysAgo('2026-03-27T00:30:00Z', 'Europe/London', now)).toBe('today');
  });
  it('shows a day of the calendar without moving it', () => {
    expect(calendarDay('2019-04-12')).toBe('12 Apr 2019');
    expect(calendarDay('2019-09-02')).toBe('2 Sep 2019');
    expect(wallTime('2026-03-24T09:00:00', now)).toBe('Tue 24 Mar, 09:00');
  });
  it('shortens a zone to its city', () => {
    expect(zoneCity('America/Argentina/Buenos_Aires')).toBe('Buenos Aires');
  });
});

describe('names', () => {
  it('shortens a colleague’s name where room is scarce', () => {
    expect(shortName('Orla Finch')).toBe('O. Finch');
    expect(shortName('Plato')).toBe('Plato');
  });
});

describe('numbers', () => {
  it('groups thousands and agrees with the noun', () => {
    expect(count(1126)).toBe('1,126');
    expect(people(1)).toBe('1 person');
    expect(people(1074)).toBe('1,074 people');
  });
  it('joins words to a name', () => {
    expect(`Bea${afterName('replied')}`).toBe('Bea replied');
    expect(`Bea${afterName('’s mail service fetched it')}`).toBe('Bea’s mail service fetched it');
  });
  it('gives shares one decimal', () => {
    expect(percent(0.17231)).toBe('17.2%');
  });
});
