import type { CheckResult } from '$lib/api/types';
import { byWay, type Channel } from '$lib/ways/ways';
import type { TallyPart } from '$lib/ui/Tally.svelte';

/** Which people of the audience are listed; null lists all. */
export interface Which {
  part?: 'READY' | 'NEED_LOOK';
  reach?: CheckResult['cannot'][number]['reach'];
  /** Reached on this way. */
  channel?: Channel;
  finding?: CheckResult['findings'][number]['code'];
  about?: string;
  /** Those who have words of their own. */
  ownWords?: boolean;
  /** In words, above the list. */
  words: string;
}

/** The tally of a mailing: ready, of those who need a look, and each reason why not. */
export function checkParts(check: CheckResult): TallyPart[] {
  const parts: TallyPart[] = severalWays(check)
    ? check.ways.map((way) => ({
        key: `BY_${way.channel}`,
        count: way.sound,
        words: `ready ${byWay(way.channel)}`,
        tone: 'good'
      }))
    : [{ key: 'READY', count: check.ready - check.needLook, words: 'ready to go', tone: 'good' }];
  if (check.needLook) {
    parts.push({
      key: 'NEED_LOOK',
      count: check.needLook,
      words: check.needLook === 1 ? 'needs a look' : 'need a look',
      tone: 'look'
    });
  }
  return [
    ...parts,
    ...check.cannot.map((c): TallyPart => ({
      key: c.reach,
      count: c.people,
      words: c.words,
      tone: 'off'
    }))
  ];
}

/** Whether people are reached on more ways than one. */
export function severalWays(check: CheckResult): boolean {
  return check.ways.length > 1;
}

/** The part of the tally whose people are listed. */
export function keyOf(which: Which | null): string | null {
  if (which?.channel) return `BY_${which.channel}`;
  return which?.part ?? which?.reach ?? null;
}

/** The people behind a part of the tally. */
export function whichOf(key: string, check: CheckResult): Which | null {
  if (key === 'READY') return { part: 'READY', words: 'ready to go' };
  if (key === 'NEED_LOOK') return { part: 'NEED_LOOK', words: 'need a look' };
  const way = check.ways.find((w) => key === `BY_${w.channel}`);
  if (way) {
    return { part: 'READY', channel: way.channel, words: `ready ${byWay(way.channel)}` };
  }
  const cannot = check.cannot.find((c) => c.reach === key);
  return cannot ? { reach: cannot.reach, words: cannot.words } : null;
}

export function blockers(check: CheckResult) {
  return check.findings.filter((f) => f.severity === 'BLOCKER');
}

export function notices(check: CheckResult) {
  return check.findings.filter((f) => f.severity === 'NOTICE');
}

/** "2 things stop the release", else "1 thing to look at". */
export function findingsWords(stops: number, minds: number): string {
  if (stops) return stops === 1 ? '1 thing stops the release' : `${stops} things stop the release`;
  return minds === 1 ? '1 thing to look at' : `${minds} things to look at`;
}
