import type { CoursePoint, GroupResult, Summary } from '$lib/api/types';
import { percent } from '$lib/format/numbers';

/** The sides from which the responses to a mailing can be looked at. */
export const VIEWS = [
  { key: 'people', name: 'People' },
  { key: 'course', name: 'Over time' },
  { key: 'links', name: 'Links' },
  { key: 'groups', name: 'By group' },
  { key: 'earlier', name: 'Against earlier' }
] as const;

export type View = (typeof VIEWS)[number]['key'];

/** The view of an address; an unknown one is that of people. */
export function viewOf(key: string | null): View {
  return VIEWS.find((v) => v.key === key)?.key ?? 'people';
}

export type By = 'PLAN' | 'TAG' | 'OWNER' | 'ZONE' | 'WAY';

export const BY: { value: By; name: string }[] = [
  { value: 'PLAN', name: 'plan' },
  { value: 'TAG', name: 'tag' },
  { value: 'OWNER', name: 'owner' },
  { value: 'ZONE', name: 'time zone' },
  { value: 'WAY', name: 'way' }
];

export function byOf(key: string | null): By {
  return BY.find((b) => b.value === key)?.value ?? 'PLAN';
}

type Sign = 'read' | 'clicked' | 'replied';

/** The curve of one sign as points of an SVG polyline, in a box of that size. */
export function curve(
  points: CoursePoint[],
  sign: Sign,
  top: number,
  width: number,
  height: number
): string {
  const step = points.length > 1 ? width / (points.length - 1) : 0;
  return points
    .map((p, i) => {
      const x = (i * step).toFixed(1);
      const y = (height - (top ? (p[sign] / top) * height : 0)).toFixed(1);
      return `${x},${y}`;
    })
    .join(' ');
}

/** The most that a curve comes to, rounded up to a number that is easily read. */
export function roundTop(most: number): number {
  if (most <= 5) return 5;
  const power = 10 ** Math.floor(Math.log10(most));
  const steps = [1, 2, 2.5, 5, 10];
  const step = steps.find((s) => s * power >= most) ?? 10;
  return step * power;
}

type Share = GroupResult['readShare'];

/** "48.6% (34.0–63.4%)"; a dash when nothing was delivered. */
export function shareWords(share: Share): string {
  if (!share) return '–';
  const low = (share.low * 100).toFixed(1);
  return `${percent(share.share)} (${low}–${(share.high * 100).toFixed(1)}%)`;
}

/**
 * How a share stands beside another: their intervals overlap, or one is surely the greater
 * (no overlap of two 95% intervals is the stricter of the usual tests).
 */
export function besides(mine: Share, theirs: Share): 'more' | 'fewer' | 'alike' {
  if (!mine || !theirs) return 'alike';
  if (mine.low > theirs.high) return 'more';
  return mine.high < theirs.low ? 'fewer' : 'alike';
}

/** The shares of a mailing, as its summary has them. */
export function sharesOf(summary: Summary): { read: Share; replied: Share } {
  const [read, replied] = summary.rates;
  return { read: read ?? null, replied: replied ?? null };
}

/** A link without what every link begins with. */
export function shortLink(target: string): string {
  return target.replace(/^https?:\/\/(www\.)?/, '').replace(/\/$/, '');
}
