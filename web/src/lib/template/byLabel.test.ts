import type { Template } from '$lib/api/types';
import { describe, expect, it } from 'vitest';
import { beginning, draftOf } from './beginning';
import { byLabel } from './byLabel';

const template = (name: string, label: string, subject = '') =>
  ({ ...beginning(1, 2, ''), id: 1, name, label, subject, version: 7 }) as unknown as Template;

describe('templates', () => {
  const all = [
    template('Season opening', 'Season', 'Is your boat ready?'),
    template('Course places', 'Season'),
    template('Loose', '')
  ];
  it('stand under their labels, in the order given', () => {
    expect(byLabel(all, '').map((g) => [g.label, g.templates.length])).toEqual([
      ['Season', 2],
      ['', 1]
    ]);
  });
  it('are found by name, label or subject', () => {
    expect(byLabel(all, 'BOAT')[0]?.templates[0]?.name).toBe('Season opening');
    expect(byLabel(all, 'season')[0]?.templates).toHaveLength(2);
    expect(byLabel(all, 'nothing')).toEqual([]);
  });
  it('begin with what the house says, on the usual letterhead', () => {
    const draft = beginning(4, 2, '<p>Dear {{first_name}}</p>');
    expect(draft.letterheadId).toBe(4);
    expect(draft.body).toBe('<p>Dear {{first_name}}</p>');
  });
  it('are changed at the version that was seen', () => {
    expect(draftOf(all[0] as Template).version).toBe(7);
    expect(draftOf(all[0] as Template)).not.toHaveProperty('id');
  });
});
