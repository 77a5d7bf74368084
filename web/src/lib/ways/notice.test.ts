// @vitest-environment happy-dom
import { describe, expect, it } from 'vitest';
import { leftWords, linkHost } from './notice';
import { proposedNotice } from './ways';

describe('a notice', () => {
  it('says how much more fits', () => {
    expect(leftWords(5)).toBe('5 left');
    expect(leftWords(0)).toBe('0 left');
    expect(leftWords(-3)).toBe('too long by 3');
  });

  it('shows the host of its link', () => {
    expect(linkHost('https://ternquay.example/boats?x=1')).toBe('ternquay.example');
    expect(linkHost('no address')).toBe('no address');
  });

  it('begins from the subject, the words and the first link of the mail', () => {
    const mail =
      '<p>Dear {{first_name}},</p><p>The <a href="https://ternquay.example/boats">boats</a> are out.</p>{{> signature}}';
    expect(proposedNotice('Boats', mail)).toEqual({
      title: 'Boats',
      words: 'Dear {{first_name}},\n\nThe boats are out.',
      link: 'https://ternquay.example/boats'
    });
    expect(proposedNotice('Boats', '<p>Come</p>').link).toBe('');
  });
});
