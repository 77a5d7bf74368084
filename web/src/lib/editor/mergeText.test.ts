import { describe, expect, it } from 'vitest';
import {
  fromEditor,
  inside,
  pieces,
  shown,
  subjectFromEditor,
  subjectToEditor,
  taken,
  toEditor
} from './mergeText';

const bodies = [
  '<p>Dear {{first_name or "friend"}},</p>',
  '<p>{{#dues_owed}}There is {{dues_owed as money}} outstanding. {{/dues_owed}}See you.</p>',
  '<p>See <a href="https://quay.example/{{number}}">{{number}}</a> &amp; “more”</p>',
  '<p>{{! a note with &amp; and &lt;b&gt; }}</p>',
  '<p>no fields, but {single} and [blank] and 1 &lt; 2</p>',
  '<ul><li>{{renews_on as "d MMMM yyyy"}}</li></ul>',
  '<p>a</p>{{#dues_owed}}<p>b {{dues_owed}}</p><p>c</p>{{/dues_owed}}<p>d</p>{{&gt; signature}}',
  '{{^plan}}<p>a</p>{{#stage}}<blockquote>{{#number}}<p>b</p>{{/number}}</blockquote>{{/stage}}{{/plan}}',
  '<p>x {{#plan}}y</p><p>z{{/plan}}</p>',
  '<table><tbody><tr><td><p>{{plan}}</p></td></tr></tbody></table>',
  '<p><img src="{{picture}}" alt="{{name}}"><a class="button" href="{{source}}">Go</a></p>'
];

describe('body', () => {
  it('goes to the editor and back without loss', () => {
    for (const body of bodies) {
      expect(fromEditor(toEditor(body))).toBe(body);
    }
  });
  it('turns fields in text into parts, and leaves those in addresses', () => {
    expect(toEditor(bodies[0] as string)).toBe(
      '<p>Dear <span data-merge="first_name or &quot;friend&quot;"></span>,</p>'
    );
    expect(toEditor(bodies[2] as string)).toContain('href="https://quay.example/{{number}}"');
  });
  it('holds a passage around paragraphs as a block, and one in words as two marks', () => {
    expect(toEditor('{{#plan}}<p>a</p>{{/plan}}')).toBe('<div data-passage="#plan"><p>a</p></div>');
    expect(toEditor('<p>{{#plan}}a{{/plan}}</p>')).toBe(
      '<p><span data-merge="#plan"></span>a<span data-merge="/plan"></span></p>'
    );
    expect(toEditor('<p>a</p>{{&gt; signature}}')).toBe(
      '<p>a</p><div data-put-in="signature"></div>'
    );
  });
  it('leaves out the empty line at the end', () => {
    expect(fromEditor('<p>a</p><p></p><p></p>')).toBe('<p>a</p>');
    expect(fromEditor('<p></p>')).toBe('<p></p>');
    expect(fromEditor('<p></p><p>a</p>')).toBe('<p></p><p>a</p>');
  });
  it('reads parts that show words', () => {
    expect(fromEditor('<p><span data-merge="plan" class="merge-field">plan</span></p>')).toBe(
      '<p>{{plan}}</p>'
    );
  });
});

describe('subject', () => {
  it('is plain text whatever it holds', () => {
    for (const subject of ['1 < 2 & "so"', 'Is {{berth_name or "your boat"}} ready?', '<b>']) {
      expect(subjectFromEditor(subjectToEditor(subject))).toBe(subject);
    }
  });
});

describe('a merge field', () => {
  const labels = (name: string) => name.replaceAll('_', ' ');
  it('shows its label, fallback and format', () => {
    expect(shown('first_name or "friend"', labels)).toEqual({
      kind: 'field',
      label: 'first name',
      after: 'or “friend”'
    });
    expect(shown('#dues_owed', labels)).toEqual({
      kind: 'open',
      label: 'dues owed',
      after: 'only if '
    });
    expect(shown('/dues_owed', labels).kind).toBe('close');
    expect(shown('dues_owed as money', labels).after).toBe('as money');
    expect(shown('last_visit or "once" as "MMMM yyyy"', labels).after).toBe(
      'or “once” as April 2026'
    );
  });
  it('is taken apart and put together again', () => {
    expect(taken('first_name or "friend"')).toEqual({
      name: 'first_name',
      fallback: 'friend',
      rest: ''
    });
    expect(taken('last_visit as "MMMM yyyy"')?.rest).toBe('as "MMMM yyyy"');
    expect(taken('#dues_owed')).toBeNull();
    expect(inside('first_name', ' a "b" {c} ')).toBe('first_name or "a b c"');
    expect(inside('plan', '')).toBe('plan');
  });
});

it('shows a subject in a list by the names of its fields', () => {
  expect(
    pieces('Is {{berth_name or "your boat"}} ready?')
      .map((p) => p.words)
      .join('')
  ).toBe('Is berth name ready?');
  expect(pieces('plain')).toEqual([{ words: 'plain', merged: false }]);
});
