import { describe, expect, it } from 'vitest';
import { piecesOf, pressed, shortcuts } from './shortcuts';

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
    expect(pressed({ ...plain, key: 'Enter', target: at('TEXTAREA') })).toBeNull();
  });
  it('work on buttons and tick boxes, but for those that press them', () => {
    expect(pressed({ ...plain, key: 'w', target: at('BUTTON') })).toBe('w');
    const box = at('INPUT', { type: 'checkbox' });
    expect(pressed({ ...plain, key: 'w', target: box })).toBe('w');
    expect(pressed({ ...plain, key: ' ', target: box })).toBeNull();
    expect(pressed({ ...plain, key: 'Enter', target: at('A') })).toBeNull();
    expect(pressed({ ...plain, key: ' ', target: at('DIV') })).toBe('Space');
  });
  it('are held with Shift for a range, and with Ctrl for all and for a release', () => {
    expect(pressed({ ...plain, shiftKey: true, key: 'ArrowDown', target: at('DIV') })).toBe(
      'Shift+ArrowDown'
    );
    expect(pressed({ ...plain, ctrlKey: true, key: 'a', target: at('BODY') })).toBe('Ctrl+a');
    expect(pressed({ ...plain, ctrlKey: true, key: 'r', target: at('BODY') })).toBeNull();
    const writing = at('DIV', { isContentEditable: true });
    expect(pressed({ ...plain, ctrlKey: true, key: 'Enter', target: writing })).toBe('Ctrl+Enter');
    expect(pressed({ ...plain, ctrlKey: true, key: 'a', target: writing })).toBeNull();
  });
  it('are listed once each for one place', () => {
    const names = shortcuts.map((s) => s.where + s.key);
    expect(new Set(names).size).toBe(names.length);
  });
  it('are shown as they stand on a keyboard', () => {
    expect(['Ctrl+Enter', '+', 'Shift+ArrowDown', 'w', 'Ctrl+a'].map(piecesOf)).toEqual([
      ['Ctrl', '⏎'],
      ['+'],
      ['Shift', '↓'],
      ['w'],
      ['Ctrl', 'A']
    ]);
  });
});
