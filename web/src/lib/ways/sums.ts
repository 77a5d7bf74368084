import type { CheckResult } from '$lib/api/types';
import { count, money } from '$lib/format/numbers';

type Texts = NonNullable<CheckResult['texts']>;

/** What the texts of a mailing come to, each in a few words. */
export function textSums(texts: Texts | null): string[] {
  if (!texts || texts.sum.texts === 0) return [];
  const { sum, currency } = texts;
  const parts = `${count(sum.texts)} ${sum.texts === 1 ? 'text' : 'texts'}, ${count(sum.parts)} ${
    sum.parts === 1 ? 'part' : 'parts'
  }`;
  const longest =
    sum.worst && sum.worst.parts > 1 ? [`the longest of ${count(sum.worst.parts)} parts`] : [];
  return [[parts, ...longest].join(', '), ...costs(texts, currency)];
}

function costs(texts: Texts, currency: string): string[] {
  const { sum, leftToday, leftThisMonth } = texts;
  if (sum.places.length === 0) return sum.unpriced ? ['no price is known'] : [];
  const all = money(sum.cost, currency);
  const by =
    sum.places.length > 1
      ? ` (${sum.places.map((p) => `${p.where} ${money(p.cost, currency)}`).join(', ')})`
      : ` to ${sum.places[0]?.where ?? ''}`;
  const left = [
    leftToday === null ? '' : `${money(leftToday, currency)} left today`,
    leftThisMonth === null ? '' : `${money(leftThisMonth, currency)} left this month`
  ].filter(Boolean);
  return [[`${all}${by}`, ...left].join(' · ')];
}
