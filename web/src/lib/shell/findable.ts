import type { Filter, GivenRight } from '$lib/api/types';
import type { Subject } from '$lib/filter/typed.svelte';
import { hasWords } from '$lib/format/fold';
import { settingsPlaces } from './settingsPlaces';
import { tabs } from '$lib/keys/shortcuts';

/** Something that can be gone to. */
export interface Findable {
  name: string;
  /** What it is, in a word or two. */
  kind: string;
  path: string;
  /** What is looked for there. */
  seek?: Sought;
  /** Whether those it finds can be written to at once: not when only a part was understood. */
  writes?: boolean;
}

/** Whom Ctrl+Enter writes to: the search that is chosen, or else the first. */
export function toWrite(results: Findable[], at: number): Findable | undefined {
  const chosen = results[at];
  return chosen?.writes ? chosen : results.find((r) => r.writes);
}

/** A list and what is looked for in it. */
export interface Sought {
  subject: Subject;
  filter: Filter;
  /** The name it is kept under. */
  kept?: string;
}

interface Named {
  id: number;
  name: string;
}

/** What is found by its name, and what was read of the words themselves. */
export interface Known {
  people: Named[];
  mailings: (Named & { state: string })[];
  templates: Named[];
  lists: Named[];
  kept: Sought[];
  typed: { seek: Sought; words: string; unknown: string[] } | null;
  /** What who looks may do: nothing is offered that would be refused. */
  rights: GivenRight[];
}

const MOST = 30;

/** What only those see who have a right. */
const ONLY: Record<string, GivenRight> = {
  '/people/import': 'IMPORT',
  '/templates/new': 'TEMPLATES',
  '/settings/history': 'COLLEAGUES'
};

const screens: Findable[] = [
  ...tabs.map((t, i) => ({ name: t.name, kind: `screen, ${i + 1}`, path: t.path })),
  { name: 'Quotes', kind: 'screen', path: '/quotes' },
  { name: 'Events', kind: 'screen', path: '/events' },
  { name: 'Lists of people', kind: 'screen', path: '/lists' },
  { name: 'On paper: labels and envelopes', kind: 'screen', path: '/paper' },
  { name: 'Import people', kind: 'do', path: '/people/import' },
  { name: 'Mail to place', kind: 'screen', path: '/responses/unplaced' },
  { name: 'Letterheads', kind: 'screen', path: '/letterheads' },
  ...settingsPlaces.flatMap((group) =>
    group.places.map(({ name, path }) => ({ name, kind: 'settings', path }))
  ),
  { name: 'New template', kind: 'do', path: '/templates/new' },
  { name: 'Keys', kind: 'show', path: '?' }
];

/** Screens first, then records by name; a search that is wholly understood goes before them. */
export function found(words: string, known: Known): Findable[] {
  const all: Findable[] = [
    ...screens.filter((s) => !ONLY[s.path] || known.rights.includes(ONLY[s.path]!)),
    ...(known.rights.includes('WRITE_TO_ONE')
      ? [{ name: 'Write to people', kind: 'find them first', path: '/people' }]
      : []),
    ...known.kept.map((k) => ({
      name: k.kept ?? '',
      kind: `kept filter of ${k.subject}`,
      path: `/${k.subject}`,
      seek: k,
      writes: true
    })),
    ...known.lists.map((l) => ({
      name: l.name,
      kind: 'list of people',
      path: '/people',
      seek: { subject: 'people' as const, filter: onList(l.name) },
      writes: true
    })),
    ...known.mailings.map((m) => ({
      name: m.name,
      kind: m.state === 'DRAFT' ? 'mailing, draft' : 'mailing',
      path: `/mailings/${m.id}`
    })),
    ...known.templates.map((t) => ({
      name: t.name,
      kind: 'template',
      path: `/templates/${t.id}`
    }))
  ];
  const people = known.people.map((p) => ({
    name: p.name,
    kind: 'person',
    path: `/people/${p.id}`
  }));
  const named = [...all.filter((f) => hasWords(f.name, words)), ...people];
  const typed = searchOf(known.typed, known.rights.includes('WRITE_TO_ONE'));
  if (!typed) return named.slice(0, MOST);
  return known.typed?.unknown.length ? [...named, typed].slice(0, MOST) : [typed, ...named];
}

function searchOf(typed: Known['typed'], mayWrite: boolean): Findable | null {
  if (!typed) return null;
  const { subject } = typed.seek;
  const lost = typed.unknown.map((w) => `“${w}”`).join(', ');
  return {
    name: `Show ${typed.words}`,
    kind: lost ? `not understood: ${lost}` : mayWrite ? 'Ctrl ⏎ writes to them' : 'search',
    path: `/${subject}`,
    seek: typed.seek,
    writes: !lost
  };
}

function onList(name: string): Filter {
  return {
    match: 'ALL',
    conditions: [{ field: 'list', operator: 'HAS_ANY', values: [name] }],
    related: [],
    groups: []
  };
}

const RECORDS = ['quotes', 'tasks', 'events'] as const;

/** Which records are meant by the first word; people when none is. */
export function subjectOf(words: string): { subject: Subject; text: string } {
  const text = words.trim();
  const first = text.split(/\s+/, 1)[0]?.toLowerCase() ?? '';
  const subject = RECORDS.find((r) => r === first) ?? 'people';
  return { subject, text };
}

/** Whether a filter asks anything. */
export function asks(filter: Filter): boolean {
  return filter.conditions.length + filter.groups.length + (filter.related?.length ?? 0) > 0;
}
