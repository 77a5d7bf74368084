import { describe, expect, it } from 'vitest';
import { Sequence, pressed, shortcuts } from './shortcuts';

const plain = { ctrlKey: false, metaKey: false, altKey: false };
const at = (tagName: string, more = {}) => ({ tagName, ...more }) as unknown as EventTarget;

describe('keys', () => {
  it('never take a key from someone typing', () => {
    expect(pressed({ ...plain, key: 'w', target: at('INPUT', { type: 'text' }) })).toBeNull();
    expect(
      pressed({ ...plain, key: 'w', target: at('DIV', { isContentEditable: true }) })
    ).toBeNull();
    expect(pressed({ ...plain, key: 'w', target: at('SELECT') })).toBeNull();
    expect(pressed({ ...plain, key: 'w', target: null, isComposing: true })).toBeNull();
  });
  it('work on buttons and tick boxes, without Ctrl', () => {
    expect(pressed({ ...plain, key: 'w', target: at('BUTTON') })).toBe('w');
    expect(pressed({ ...plain, key: 'x', target: at('INPUT', { type: 'checkbox' }) })).toBe('x');
    expect(pressed({ ...plain, ctrlKey: true, key: 'r', target: at('BODY') })).toBeNull();
  });
  it('join g and a letter within a moment', () => {
    const sequence = new Sequence();
    expect(sequence.add('g', 0)).toBe('g');
    expect(sequence.add('p', 900)).toBe('g p');
    expect(sequence.add('g', 2000)).toBe('g');
    expect(sequence.add('p', 9000)).toBe('p');
  });
  it('are listed once each for one place', () => {
    const names = shortcuts.map((s) => s.where + s.keys);
    expect(new Set(names).size).toBe(names.length);
  });
});
