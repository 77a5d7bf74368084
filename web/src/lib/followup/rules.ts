import type { FollowRule, FollowRuleBody, RuleAct } from '$lib/api/types';

type Whom = NonNullable<FollowRule['whom']>;
type Unit = NonNullable<FollowRule['waitUnit']>;
type Sign = NonNullable<FollowRule['on']>;

export const WHOM: { value: Whom; name: string }[] = [
  { value: 'NO_REPLY', name: 'has not replied' },
  { value: 'NOT_OPENED', name: 'has not opened it' },
  { value: 'OPENED', name: 'opened it and has not replied' },
  { value: 'CLICKED', name: 'followed a link and has not replied' }
];

export const UNITS: { value: Unit; name: string }[] = [
  { value: 'WORKING_DAYS', name: 'working days' },
  { value: 'DAYS', name: 'days' },
  { value: 'HOURS', name: 'hours' }
];

export const SIGNS: { value: Sign; name: string }[] = [
  { value: 'REPLIED', name: 'replies' },
  { value: 'OPENED', name: 'opens it' },
  { value: 'CLICKED', name: 'follows a link' },
  { value: 'AUTO_REPLIED', name: 'is away' },
  { value: 'RETURNED', name: 'cannot be reached' },
  { value: 'LEFT', name: 'leaves the list' }
];

export const ACTS: { value: RuleAct['kind']; name: string }[] = [
  { value: 'SEND', name: 'send another message in the same thread' },
  { value: 'TASK', name: 'make a task' },
  { value: 'TAG', name: 'tag them' },
  { value: 'SET', name: 'set a field' },
  { value: 'SERIES', name: 'let them into a series' },
  { value: 'TELL', name: 'tell me by mail' }
];

/** What an act begins with. */
export function blankAct(kind: RuleAct['kind']): RuleAct {
  return {
    kind,
    taskKind: kind === 'TASK' ? '' : null,
    title: kind === 'TASK' ? '' : null,
    dueDays: kind === 'TASK' ? 1 : null,
    owner: null,
    tag: kind === 'TAG' ? '' : null,
    field: kind === 'SET' ? 'stage' : null,
    value: kind === 'SET' ? '' : null,
    series: null,
    seriesName: null
  };
}

/** A rule that waits, and sends these words; the next of a chain waits from what the last one did. */
export function blankRule(rules: FollowRule[], body = ''): FollowRuleBody {
  const waiting = rules.filter((r) => r.whom !== null);
  return {
    id: null,
    whom: 'NO_REPLY',
    waitCount: 4,
    waitUnit: 'WORKING_DAYS',
    after: waiting.at(-1)?.place ?? null,
    on: null,
    except: [],
    act: blankAct('SEND'),
    body,
    ways: null
  };
}

/** A rule as it is sent back to the server. */
export function bodyOf(rule: FollowRule): FollowRuleBody {
  return {
    id: rule.id,
    whom: rule.whom,
    waitCount: rule.waitCount,
    waitUnit: rule.waitUnit,
    after: rule.after,
    on: rule.on,
    except: rule.except.map((part) => ({ name: part.name, filter: part.filter })),
    act: rule.act,
    body: rule.body,
    ways: rule.ways
  };
}

/** A rule that waits becomes one that acts at once, or the other way round. */
export function turned(rule: FollowRuleBody, atOnce: boolean): FollowRuleBody {
  if (atOnce) {
    const act = rule.act.kind === 'SEND' ? blankAct('TASK') : rule.act;
    return {
      ...rule,
      whom: null,
      waitCount: null,
      waitUnit: null,
      after: null,
      on: 'REPLIED',
      act
    };
  }
  return { ...rule, whom: 'NO_REPLY', waitCount: 4, waitUnit: 'WORKING_DAYS', on: null };
}

/** The rules with one of them changed, or one more at the end. */
export function withRule(rules: FollowRule[], changed: FollowRuleBody): FollowRuleBody[] {
  const bodies = rules.map(bodyOf);
  return changed.id === null
    ? [...bodies, changed]
    : bodies.map((body) => (body.id === changed.id ? changed : body));
}

/** The rules without one; what waited from its act waits from the mailing, or from what it did. */
export function withoutRule(rules: FollowRule[], gone: FollowRule): FollowRuleBody[] {
  const before = gone.after;
  const moved = (place: number | null) => {
    const now = place === gone.place ? before : place;
    return now !== null && now > gone.place ? now - 1 : now;
  };
  return rules
    .filter((rule) => rule.id !== gone.id)
    .map((rule) => ({ ...bodyOf(rule), after: moved(rule.after) }));
}

/** Earlier rules from whose act this one can wait. */
export function mayFollow(rules: FollowRule[], id: number | null): FollowRule[] {
  const place = rules.find((r) => r.id === id)?.place ?? rules.length + 1;
  return rules.filter((r) => r.whom !== null && r.place < place);
}

/** What becomes of a rule, part by part: "12 will be", "3 done", "40 not meant any more". */
export function partsOf(rule: FollowRule): { which: 'WILL' | 'DONE' | 'NOT'; people: number }[] {
  const parts: { which: 'WILL' | 'DONE' | 'NOT'; people: number }[] = [];
  if (rule.will) parts.push({ which: 'WILL', people: rule.will });
  if (rule.done) parts.push({ which: 'DONE', people: rule.done });
  if (rule.not) parts.push({ which: 'NOT', people: rule.not });
  return parts;
}

/** What follows, in a line: "… ; then …". */
export function thenWords(rules: FollowRule[]): string {
  return rules
    .filter((rule) => !rule.stopped)
    .map((rule, i) => (i === 0 ? rule.words : withinSentence(rule.words)))
    .join('; then ');
}

/** Without the capital that a sentence begins with. */
function withinSentence(words: string): string {
  return `${words.charAt(0).toLowerCase()}${words.slice(1)}`;
}
