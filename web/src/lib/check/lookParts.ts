import type { Look } from '$lib/api/types';
import type { TallyPart } from '$lib/ui/Tally.svelte';

/** Which people of the audience are listed; null lists all. */
export interface Which {
  part?: 'READY' | 'NEED_LOOK';
  reach?: Look['cannot'][number]['reach'];
  finding?: Look['findings'][number]['code'];
  about?: string;
  /** Those who have words of their own. */
  ownWords?: boolean;
  /** In words, above the list. */
  words: string;
}

/** The tally of a mailing: ready, of those who need a look, and each reason why not. */
export function lookParts(look: Look): TallyPart[] {
  const parts: TallyPart[] = [
    { key: 'READY', count: look.ready - look.needLook, words: 'ready to go', tone: 'good' }
  ];
  if (look.needLook) {
    parts.push({ key: 'NEED_LOOK', count: look.needLook, words: 'need a look', tone: 'look' });
  }
  return [
    ...parts,
    ...look.cannot.map((c): TallyPart => ({
      key: c.reach,
      count: c.people,
      words: c.words,
      tone: 'off'
    }))
  ];
}

/** The people behind a part of the tally. */
export function whichOf(key: string, look: Look): Which | null {
  if (key === 'READY') return { part: 'READY', words: 'ready to go' };
  if (key === 'NEED_LOOK') return { part: 'NEED_LOOK', words: 'need a look' };
  const cannot = look.cannot.find((c) => c.reach === key);
  return cannot ? { reach: cannot.reach, words: cannot.words } : null;
}

export function blockers(look: Look) {
  return look.findings.filter((f) => f.severity === 'BLOCKER');
}

export function notices(look: Look) {
  return look.findings.filter((f) => f.severity === 'NOTICE');
}
