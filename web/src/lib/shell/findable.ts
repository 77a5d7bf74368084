import { tabs } from '$lib/keys/shortcuts';

/** Something that can be gone to. */
export interface Findable {
  name: string;
  /** What it is, in a word or two. */
  kind: string;
  path: string;
}

interface Named {
  id: number;
  name: string;
}

/** Screens, mailings, templates and people whose name has all the words; screens come first. */
export function found(
  words: string,
  records: { people: Named[]; mailings: (Named & { state: string })[]; templates: Named[] }
): Findable[] {
  const all: Findable[] = [
    ...tabs.map((t, i) => ({ name: t.name, kind: `screen, ${i + 1}`, path: t.path })),
    { name: 'Write to people', kind: 'find them first', path: '/people' },
    { name: 'Quotes', kind: 'screen', path: '/quotes' },
    { name: 'Events', kind: 'screen', path: '/events' },
    { name: 'Lists of people', kind: 'screen', path: '/lists' },
    { name: 'Import people', kind: 'do', path: '/people/import' },
    { name: 'Letterheads', kind: 'screen', path: '/letterheads' },
    { name: 'Your signature', kind: 'settings', path: '/settings/signature' },
    { name: 'Where you are signed in', kind: 'settings', path: '/settings/sessions' },
    { name: 'Fields of this workspace', kind: 'settings', path: '/settings/fields' },
    { name: 'New template', kind: 'do', path: '/templates/new' },
    { name: 'Keys', kind: 'show', path: '?' },
    ...records.mailings.map((m) => ({
      name: m.name,
      kind: m.state === 'DRAFT' ? 'mailing, draft' : 'mailing',
      path: `/mailings/${m.id}`
    })),
    ...records.templates.map((t) => ({
      name: t.name,
      kind: 'template',
      path: `/templates/${t.id}`
    }))
  ];
  const asked = fold(words).split(/\s+/).filter(Boolean);
  const people = records.people.map((p) => ({
    name: p.name,
    kind: 'person',
    path: `/people/${p.id}`
  }));
  return [...all.filter((f) => asked.every((w) => fold(f.name).includes(w))), ...people].slice(
    0,
    30
  );
}

function fold(text: string): string {
  return text
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase();
}
