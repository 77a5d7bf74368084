import type {
  Comparison,
  Condition,
  Filter,
  FilterField,
  RelatedCondition,
  RelatedFields,
  RelatedKind
} from '$lib/api/types';

/** A filter as it is built on the screen: kinds of people, then a group of conditions. */
export interface FilterDraft extends DraftGroup {
  kinds: string[];
}

export interface DraftGroup {
  match: Filter['match'];
  parts: DraftPart[];
}

/** A condition, records around a person, or a group in brackets. */
export type DraftPart =
  | { is: 'condition'; condition: Condition }
  | { is: 'related'; kind: RelatedKind; atLeast: number; where: DraftGroup }
  | { is: 'group'; group: DraftGroup };

export const everyone: FilterDraft = { kinds: [], match: 'ALL', parts: [] };

/** The filter the server is asked; conditions that are not filled in yet are left out. */
export function toFilter(
  draft: FilterDraft,
  fields: FilterField[],
  related: RelatedFields[]
): Filter {
  const body = groupFilter(draft, fields, related);
  if (draft.kinds.length === 0) return body;
  const kind: Condition = { field: 'kind', operator: 'ANY_OF', values: draft.kinds };
  if (body.match === 'ALL') return { ...body, conditions: [kind, ...body.conditions] };
  const whole = isEmpty(body) ? [] : [body];
  return { match: 'ALL', conditions: [kind], related: [], groups: whole };
}

function groupFilter(group: DraftGroup, fields: FilterField[], related: RelatedFields[]): Filter {
  const filter: Filter = { match: group.match, conditions: [], related: [], groups: [] };
  for (const part of group.parts) {
    if (part.is === 'condition') {
      if (isReady(part.condition, fields)) filter.conditions.push(part.condition);
    } else if (part.is === 'related') {
      const own = related.find((r) => r.kind === part.kind)?.fields ?? [];
      const where = groupFilter(part.where, own, []);
      filter.related?.push({ kind: part.kind, atLeast: part.atLeast, where: everythingIf(where) });
    } else {
      const inner = groupFilter(part.group, fields, related);
      if (!isEmpty(inner)) filter.groups.push(inner);
    }
  }
  // Nothing filled in yet says nothing, rather than "nobody".
  return everythingIf(filter);
}

function everythingIf(filter: Filter): Filter {
  return isEmpty(filter) ? { ...filter, match: 'ALL' } : filter;
}

function isEmpty(filter: Filter): boolean {
  return !filter.conditions.length && !filter.groups.length && !filter.related?.length;
}

/** A filter that was kept, to be built on. */
export function fromFilter(filter: Filter): FilterDraft {
  const kinds = filter.match === 'ALL' ? filter.conditions.find(isKinds) : undefined;
  const rest = { ...filter, conditions: filter.conditions.filter((c) => c !== kinds) };
  const only = rest.groups[0];
  const wrapped = kinds && only && rest.groups.length === 1;
  const plain = wrapped && !rest.conditions.length && !rest.related?.length;
  return { kinds: kinds?.values ?? [], ...draftGroup(plain ? only : rest) };
}

function isKinds(condition: Condition): boolean {
  return condition.field === 'kind' && condition.operator === 'ANY_OF';
}

function draftGroup(filter: Filter): DraftGroup {
  return {
    match: filter.match,
    parts: [
      ...filter.conditions.map((condition): DraftPart => ({ is: 'condition', condition })),
      ...(filter.related ?? []).map(draftRelated),
      ...filter.groups.map((g): DraftPart => ({ is: 'group', group: draftGroup(g) }))
    ]
  };
}

function draftRelated(related: RelatedCondition): DraftPart {
  const { kind, atLeast, where } = related;
  return { is: 'related', kind, atLeast, where: draftGroup(where) };
}

export function fieldOf(condition: Condition, fields: FilterField[]): FilterField | undefined {
  return fields.find((f) => f.name === condition.field);
}

export function comparisonOf(condition: Condition, fields: FilterField[]): Comparison | undefined {
  return fieldOf(condition, fields)?.comparisons.find((c) => c.operator === condition.operator);
}

/** Whether a condition has all it needs to be asked. */
export function isReady(condition: Condition, fields: FilterField[]): boolean {
  const comparison = comparisonOf(condition, fields);
  if (!comparison) return false;
  const given = condition.values.filter((v) => v.trim() !== '').length;
  switch (comparison.takes) {
    case 'NOTHING':
      return true;
    case 'TWO':
    case 'SPAN':
    case 'STEPS':
      return given === 2;
    default:
      return given >= 1;
  }
}

/** The comparison most often wanted of a field of each type. */
const wanted: Partial<Record<FilterField['type'], Comparison['operator']>> = {
  TEXT: 'CONTAINS',
  DAY: 'BEFORE',
  INSTANT: 'BEFORE',
  MONEY: 'MORE',
  REFERENCE: 'ANY_OF'
};

/** A new condition on a field. */
export function begin(field: FilterField): Condition {
  const comparison =
    field.comparisons.find((c) => c.operator === wanted[field.type]) ??
    (field.comparisons[0] as Comparison);
  return { field: field.name, operator: comparison.operator, values: usual(comparison) };
}

/** Values that a comparison begins with, where most people want the same. */
function usual(comparison: Comparison): string[] {
  switch (comparison.takes) {
    case 'SPAN':
      return ['30', 'days'];
    case 'STEPS':
      return ['me', '1'];
    case 'MONTH':
      return ['this'];
    case 'PERIOD':
      return ['this week'];
    case 'DAYS':
      return ['7'];
    default:
      return [];
  }
}

/** The same condition compared otherwise; values stay where they still mean the same. */
export function compareBy(
  condition: Condition,
  operator: Condition['operator'],
  fields: FilterField[]
): Condition {
  const before = comparisonOf(condition, fields)?.takes;
  const next = { ...condition, operator };
  const comparison = comparisonOf(next, fields);
  const after = comparison?.takes;
  const kept = before === after || (before === 'ONE' && after === 'TWO');
  return { ...next, values: kept ? condition.values : comparison ? usual(comparison) : [] };
}

/** A word switched on or off among the values. */
export function toggled(values: string[], word: string): string[] {
  return values.includes(word) ? values.filter((v) => v !== word) : [...values, word];
}

/** "members", "members and leads", "people" for all kinds. */
export function kindsWords(kinds: string[]): string {
  if (kinds.length === 0 || kinds.length === 3) return 'people';
  return kinds.map((k) => `${k}s`).join(' and ');
}
