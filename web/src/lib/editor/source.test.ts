import { describe, expect, it } from 'vitest';
import { fromSource, toSource } from './source';

const bodies = [
  '<p>a</p><p>b</p>',
  '<ul><li><p>a</p></li><li><p>b</p></li></ul><p>c {{plan}} <strong>d</strong> <em>e</em></p>',
  '{{#plan}}<p>a</p>{{/plan}}<p>b</p>{{&gt; signature}}',
  '<table><tbody><tr><td><p>a</p></td></tr></tbody></table><hr><p>b<br>c</p>',
  ''
];

describe('the text form', () => {
  it('is broken into lines and put together again without loss', () => {
    for (const body of bodies) expect(fromSource(toSource(body))).toBe(body);
  });
  it('has a line for each paragraph', () => {
    expect(toSource(bodies[0] as string)).toBe('<p>a</p>\n<p>b</p>');
  });
  it('takes what is written over several lines', () => {
    expect(fromSource('<p>a\n  b</p>\n\n<p>c</p>\n')).toBe('<p>a b</p><p>c</p>');
  });
});
