import type { PrintRun, PrintRunBody, Sheet } from '$lib/api/types';
import { count } from '$lib/format/numbers';

/** What can be changed of a run, as it stands. */
export function bodyOf(run: PrintRun): PrintRunBody {
  const { version, name, picks, leftOut, start, copies, offsetAcross, offsetDown } = run;
  return {
    version,
    name,
    picks,
    leftOut,
    start,
    copies,
    offsetAcross,
    offsetDown,
    parts: run.parts.map((part) => ({ name: part.name, filter: part.filter })),
    design: { ...run.design, sheet: { ...run.design.sheet } }
  };
}

/** Widths and heights of papers in millimetres; ISO 216, ISO 269, and US Letter. */
export const papers: Record<Sheet['paper'], { words: string; width: number; height: number }> = {
  A4: { words: 'A4', width: 210, height: 297 },
  LETTER: { words: 'US Letter', width: 215.9, height: 279.4 },
  DL: { words: 'Envelope DL', width: 220, height: 110 },
  C5: { words: 'Envelope C5', width: 229, height: 162 }
};

/** Where a label of a sheet lies, in millimetres. */
export function labelAt(sheet: Sheet, place: number) {
  return {
    left: sheet.left + (place % sheet.across) * sheet.pitchAcross,
    top: sheet.top + Math.floor(place / sheet.across) * sheet.pitchDown
  };
}

/** "417 sheets", "1 sheet". */
export function sheets(n: number): string {
  return n === 1 ? '1 sheet' : `${count(n)} sheets`;
}

/** "60 labels on 3 sheets". */
export function takes(run: Pick<PrintRun, 'people' | 'copies' | 'sheets'>): string {
  const labels = run.people * run.copies;
  return `${count(labels)} ${labels === 1 ? 'label' : 'labels'} on ${sheets(run.sheets)}`;
}

const MILLIMETRES = 25.4;

/** A length that was typed, in millimetres: "2", "2.5", "0.1 in", "1/4 in"; null when it is none. */
export function millimetres(typed: string): number | null {
  const read = /^\s*(-?\d+(?:[.,]\d+)?)(?:\s*\/\s*(\d+))?\s*(mm|in|")?\s*$/i.exec(typed);
  if (!read?.[1] || read[2] === '0') return null;
  const size = Number(read[1].replace(',', '.')) / Number(read[2] ?? 1);
  const inches = read[3] && read[3].toLowerCase() !== 'mm';
  return Math.round(size * (inches ? MILLIMETRES : 1) * 1000) / 1000;
}
