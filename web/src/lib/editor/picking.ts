import type { MergeFieldName } from '$lib/api/types';

/** What is known of fields beside their names, to choose by. */
export interface Hints {
  /** What each field shows for the person in the proof. */
  samples?: Record<string, string>;
  /** How many of the audience lack each field, and how many there are. */
  lacks?: Record<string, number>;
  of?: number;
}

/** A field or passage that is being chosen, and where. */
export interface Picking {
  kind: 'field' | 'passage';
  /** What is being changed; null for something new at the cursor. */
  position: number | null;
  inside: string | null;
  x: number;
  y: number;
}

const WIDEST = 320;

/** Below what was pressed, and inside the frame. */
export function placeBelow(
  rect: { left: number; bottom: number },
  frame: { left: number; top: number; width: number }
): { x: number; y: number } {
  const x = Math.max(0, Math.min(rect.left - frame.left, frame.width - WIDEST));
  return { x, y: rect.bottom - frame.top + 4 };
}

/** The fields that a few words may mean, by label or by name. */
export function matching(fields: MergeFieldName[], words: string): MergeFieldName[] {
  const sought = words.trim().toLowerCase();
  const joined = sought.replaceAll(' ', '_');
  return fields.filter((f) => f.label.toLowerCase().includes(sought) || f.name.includes(joined));
}

/** "212 of 1,074 have none", where it is worth a word. */
export function lackWords(hints: Hints, name: string): string {
  const none = hints.lacks?.[name] ?? 0;
  return none && hints.of
    ? `${none.toLocaleString('en-GB')} of ${hints.of.toLocaleString('en-GB')} have none`
    : '';
}
