import { describe, expect, it } from 'vitest';
import { isNamedBy, namedBy } from './naming';

describe('a mailing that nobody has named', () => {
  it.each([
    ['Open day on Saturday', 'Open day on Saturday'],
    ['Your plan renews, {{first_name or "friend"}}', 'Your plan renews'],
    ['{{first_name}}, come and row!', 'come and row!'],
    ['Dear {{first_name}} , all well?', 'Dear, all well?'],
    ['{{first_name}}', 'New mailing'],
    ['', 'New mailing']
  ])('%s is called %s', (subject, name) => expect(namedBy(subject)).toBe(name));
  it('is called in at most 80 letters and a mark that there is more', () => {
    const name = namedBy('word '.repeat(40));
    expect(name.length).toBeLessThanOrEqual(82);
    expect(name.endsWith('word …')).toBe(true);
  });
  it('follows its subject until somebody names it', () => {
    expect(isNamedBy('Open day', 'New mailing')).toBe(true);
    expect(isNamedBy('Open day', 'Open day')).toBe(true);
    expect(isNamedBy('Open day', '')).toBe(true);
    expect(isNamedBy('Open day', 'Spring, first try')).toBe(false);
  });
});
