import type { GivenRight, HouseRole, RoleTable } from '$lib/api/types';
import { count } from '$lib/format/numbers';

export type Row = RoleTable['rights'][number];
export type Limits = HouseRole['limits'];
export type NumberLimit = Exclude<keyof Limits, 'ownPeople'>;

/** A right given to a role, with what it rests on; or taken, with what rests on it. */
export function toggled(rows: Row[], rights: GivenRight[], right: GivenRight): GivenRight[] {
  const rests = (one: GivenRight) => rows.find((r) => r.right === one)?.restsOn ?? null;
  if (!rights.includes(right)) {
    const more = [...rights];
    for (let one: GivenRight | null = right; one; one = rests(one) as GivenRight | null) {
      if (!more.includes(one)) more.push(one);
    }
    return more;
  }
  const restsOnIt = (one: GivenRight): boolean => {
    const below = rests(one) as GivenRight | null;
    return one === right || (below !== null && restsOnIt(below));
  };
  return rights.filter((one) => !restsOnIt(one));
}

/** The limits of a role, each below the right that it belongs to. */
export const limits: { key: NumberLimit; right: GivenRight; words: string; least: number }[] = [
  { key: 'mostAtOnce', right: 'WRITE_TO_MANY', words: 'to at most … people', least: 1 },
  { key: 'nodAbove', right: 'WRITE_TO_MANY', words: 'with a nod above … people', least: 1 },
  { key: 'mostADay', right: 'WRITE_TO_ONE', words: 'at most … messages a day', least: 0 },
  { key: 'mostMailsADay', right: 'WRITE_TO_ONE', words: 'of these … e-mails', least: 0 },
  { key: 'mostTextsADay', right: 'WRITE_TO_ONE', words: 'of these … texts', least: 0 },
  { key: 'mostNoticesADay', right: 'WRITE_TO_ONE', words: 'of these … app notices', least: 0 },
  { key: 'mostRows', right: 'EXPORT', words: 'at most … people in a file', least: 1 }
];

/** How far a role goes, in sentences. */
export function limitWords(role: Pick<HouseRole, 'rights' | 'limits'>): string[] {
  const { mostAtOnce, nodAbove, mostADay, mostRows } = role.limits;
  const many = role.rights.includes('WRITE_TO_MANY');
  const writes = role.rights.includes('WRITE_TO_ONE');
  const { mostMailsADay, mostTextsADay, mostNoticesADay } = role.limits;
  const aDay = (most: number | null, what: string) =>
    writes && most !== null ? `At most ${count(most)} ${what} leave a day.` : '';
  return [
    role.limits.ownPeople ? 'They see the people they own, and what is about these.' : '',
    many && mostAtOnce ? `One mailing goes to at most ${count(mostAtOnce)} people.` : '',
    many && nodAbove
      ? `A mailing to more than ${count(nodAbove)} leaves when a second colleague has nodded.`
      : '',
    aDay(mostADay, 'messages'),
    aDay(mostMailsADay, 'e-mails'),
    aDay(mostTextsADay, 'texts'),
    aDay(mostNoticesADay, 'app notices'),
    role.rights.includes('EXPORT') && mostRows
      ? `One file takes out at most ${count(mostRows)} people.`
      : ''
  ].filter(Boolean);
}

const said = ({ name, rights, limits }: Pick<HouseRole, 'name' | 'rights' | 'limits'>) =>
  JSON.stringify([name, [...rights].sort(), limits]);

/** Those that differ from what is kept. */
export function changedOf(drafts: HouseRole[], kept: HouseRole[]): HouseRole[] {
  return drafts.filter((draft) => {
    const before = kept.find((r) => r.id === draft.id);
    return before !== undefined && said(before) !== said(draft);
  });
}
