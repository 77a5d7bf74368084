import type { Decision, Desk } from '$lib/api/types';
import { describe, expect, it } from 'vitest';
import { headline, wanted } from './decisions';

const decision: Decision = {
  kind: 'in_doubt',
  people: 2,
  about: 'Bea Okonjo',
  mailingId: 9,
  mailing: 'Winter storage',
  at: '2026-03-26T16:02:00Z',
  reason: 'the mail server gave no answer'
};

describe('the desk', () => {
  it('leads to where a decision is made', () => {
    expect(wanted(decision)).toMatchObject({
      about: '2 messages',
      act: 'Settle',
      path: '/outbox?mailing=9&state=in_doubt'
    });
    expect(wanted({ ...decision, kind: 'returned', people: 1 })).toMatchObject({
      about: 'Bea Okonjo',
      path: '/responses/9?part=RETURNED'
    });
  });
  it('leads to who signed up with other answers', () => {
    expect(wanted({ ...decision, kind: 'signed_up', mailing: 'News' })).toMatchObject({
      about: '2 people',
      words: 'signed up at “News” with other answers than on record',
      path: '/people/sign-ups/9?people'
    });
  });
  it('leads to mails that want a place, and to what is held back', () => {
    expect(wanted({ ...decision, kind: 'unplaced', mailing: '' })).toMatchObject({
      about: '2 mails',
      path: '/responses/unplaced'
    });
    expect(wanted({ ...decision, kind: 'held' }).path).toBe('/outbox?mailing=9&state=held');
  });
  it('leads to a nod that is asked for, and says why one was not given', () => {
    const nod = { ...decision, kind: 'nod', about: 'Tomas Vance', people: 417 };
    expect(wanted(nod)).toMatchObject({
      about: 'Tomas Vance',
      words: 'asks for your nod to 417 messages of “Winter storage”',
      path: '/mailings/9'
    });
    const refused = wanted({ ...nod, kind: 'nod_refused', reason: 'Not before the regatta.' });
    expect(refused.detail).toBe('Not before the regatta.');
  });
  it('says in a sentence how things stand', () => {
    const desk: Desk = {
      counts: { drafts: 0, toDepart: 214, replies: 1, tasks: 0 },
      decisions: [],
      underWay: [],
      drafts: [],
      due: []
    };
    expect(headline(desk)).toBe(
      'Nothing is stuck. 214 messages to leave, 1 reply since yesterday.'
    );
    expect(headline({ ...desk, decisions: [decision] })).toContain('1 thing wants a decision.');
    expect(headline({ ...desk, counts: { ...desk.counts, tasks: 9 } })).toContain(
      '9 tasks are due.'
    );
  });
});
