import type { Template } from '$lib/api/types';

/** Templates whose name, label or subject has some words, under their labels; in the order given. */
export function byLabel(
  templates: Template[],
  words: string
): { label: string; templates: Template[] }[] {
  const sought = words.trim().toLowerCase();
  const groups = new Map<string, Template[]>();
  for (const template of templates) {
    const all = `${template.name} ${template.label} ${template.subject}`.toLowerCase();
    if (all.includes(sought)) {
      groups.set(template.label, [...(groups.get(template.label) ?? []), template]);
    }
  }
  return [...groups].map(([label, of]) => ({ label, templates: of }));
}
