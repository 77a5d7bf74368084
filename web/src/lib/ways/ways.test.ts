// @vitest-environment happy-dom
import { describe, expect, it } from 'vitest';
import { proposedText, sooner, withWay, withoutWay } from './ways';

describe('the ways of a mailing', () => {
  it('begin with the one that was added last', () => {
    expect(withWay(['EMAIL'], 'TEXT')).toEqual(['TEXT', 'EMAIL']);
    expect(withWay(['TEXT', 'EMAIL'], 'TEXT')).toEqual(['TEXT', 'EMAIL']);
  });
  it('are put in another order one place at a time', () => {
    expect(sooner(['APP', 'TEXT', 'EMAIL'], 'EMAIL')).toEqual(['APP', 'EMAIL', 'TEXT']);
    expect(sooner(['TEXT', 'EMAIL'], 'TEXT')).toEqual(['TEXT', 'EMAIL']);
  });
  it('are never none', () => {
    expect(withoutWay(['TEXT', 'EMAIL'], 'EMAIL')).toEqual(['TEXT']);
    expect(withoutWay(['TEXT'], 'TEXT')).toEqual(['TEXT']);
  });
});

describe('a text to begin from', () => {
  it('says all that the mail says, with its fields and links', () => {
    const mail =
      '<h1>Spring</h1><p>Dear {{first_name or "friend"}},</p>' +
      '<p>The <strong>slipway</strong> opens.<br>Book <a href="https://quay.example/b">here</a>.</p>' +
      '<p><img src="x" alt=""></p>{{> signature}}';
    expect(proposedText(mail)).toBe(
      'Spring\n\nDear {{first_name or "friend"}},\n\nThe slipway opens.\nBook here: https://quay.example/b.'
    );
  });
  it('says an address once whose words are the address', () => {
    expect(proposedText('<p>See <a href="https://q.example">https://q.example</a></p>')).toBe(
      'See https://q.example'
    );
  });
  it('is nothing of an empty mail', () => {
    expect(proposedText('<p></p>')).toBe('');
  });
});
