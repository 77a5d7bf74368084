import { api } from '$lib/api/client';
import type { WholeMailing } from '$lib/api/types';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Writing } from './writing.svelte';

const mailing: WholeMailing = {
  id: 5,
  name: 'Spring',
  subject: 'Hello',
  body: '<p>Hello</p>',
  ways: ['EMAIL'],
  text: { words: '', likeness: 'NOWHERE' },
  notice: { title: '', words: '', link: '' },
  paper: { subject: '', body: '', form: 'DIN_B' as const, documentId: 0, documentVersion: 0 },
  templateId: null,
  templateName: null,
  templateVersion: null,
  topicId: 1,
  senderId: 1,
  senderName: 'Orla Finch',
  letterheadId: 1,
  promotional: true,
  voice: 'SENDER',
  repliesTo: 'SENDER',
  replyColleague: null,
  private: false,
  followsId: null,
  followsName: null,
  byRule: false,
  audienceWords: 'members',
  recordKind: null,
  records: 0,
  recordEach: false,
  parts: [],
  leftOutParts: [],
  picks: [1],
  files: [],
  leftOut: [],
  plan: {
    startWall: null,
    startOwn: false,
    startZone: null,
    wavePeople: null,
    waveGapSeconds: 900,
    hours: null,
    ownClock: false,
    doneBy: null
  },
  countOpens: true,
  countClicks: true,
  state: 'DRAFT',
  held: false,
  heldUntil: null,
  dueAt: null,
  paused: false,
  writing: null,
  version: 3
};

interface Sent {
  version: number;
  subject: string;
}

interface Reply {
  data?: unknown;
  error?: unknown;
  response: Response;
}

let sent: Sent[];
let answers: (() => Reply)[];

function saved(body: Sent): Reply {
  const data = { ...mailing, ...body, version: body.version + 1 };
  return { data, response: new Response(null, { status: 200 }) };
}

beforeEach(() => {
  vi.useFakeTimers();
  sent = [];
  answers = [];
  vi.spyOn(api, 'PUT').mockImplementation((async (_: string, call: { body: Sent }) => {
    sent.push(call.body);
    return answers.shift()?.() ?? saved(call.body);
  }) as never);
});

afterEach(() => {
  vi.useRealTimers();
  vi.restoreAllMocks();
});

describe('the writing', () => {
  it('saves by itself, a moment after the last key', async () => {
    const writing = new Writing(mailing);
    writing.subject = 'Hello y';
    writing.changed();
    await vi.advanceTimersByTimeAsync(300);
    writing.subject = 'Hello you';
    writing.changed();
    await vi.advanceTimersByTimeAsync(300);
    expect(sent).toHaveLength(0);
    expect(writing.saving).toBe('changed');
    await vi.advanceTimersByTimeAsync(300);
    await writing.save();
    expect(sent.map((s) => [s.version, s.subject])).toEqual([[3, 'Hello you']]);
    expect(writing.saving).toBe('saved');
    expect(writing.mailing.version).toBe(4);
  });

  it('asks for check and proofs anew after each save, and not before', async () => {
    const writing = new Writing(mailing);
    const before = writing.revision;
    writing.changed();
    expect(writing.revision).toBe(before);
    await writing.save();
    expect(writing.revision).toBe(before + 1);
  });

  it('saves again what was changed while it was saving, with the new version', async () => {
    const writing = new Writing(mailing);
    writing.subject = 'One';
    writing.changed();
    const first = writing.save();
    writing.subject = 'Two';
    writing.changed();
    await first;
    await writing.save();
    expect(sent.map((s) => [s.version, s.subject])).toEqual([
      [3, 'One'],
      [4, 'Two']
    ]);
  });

  it('keeps what is written when another tab was first, and says so', async () => {
    const sentence = 'This mailing was changed elsewhere in the meantime.';
    answers.push(() => ({
      error: { detail: sentence, field: '' },
      response: new Response(null, { status: 409 })
    }));
    const writing = new Writing(mailing);
    writing.subject = 'Mine';
    writing.changed();
    await writing.save();
    expect(writing.saving).toBe('failed');
    expect(writing.autosave.trouble).toBe(sentence);
    expect(writing.subject).toBe('Mine');
    await vi.advanceTimersByTimeAsync(10_000);
    expect(sent).toHaveLength(1);
  });

  it('sends again by itself when the connection was lost', async () => {
    answers.push(() => {
      throw new TypeError('fetch failed');
    });
    const writing = new Writing(mailing);
    writing.subject = 'On the train';
    writing.changed();
    await writing.save();
    expect(writing.saving).toBe('failed');
    await vi.advanceTimersByTimeAsync(4500);
    await writing.save();
    expect(writing.saving).toBe('saved');
    expect(sent.at(-1)?.subject).toBe('On the train');
  });

  it('sends again with growing waits while the server is away, and says when', async () => {
    for (let i = 0; i < 3; i++) {
      answers.push(() => ({ error: null, response: new Response(null, { status: 503 }) }));
    }
    const writing = new Writing(mailing);
    writing.subject = 'Patient';
    writing.changed();
    await writing.save();
    expect([writing.saving, writing.autosave.again]).toEqual(['failed', 2]);
    await vi.advanceTimersByTimeAsync(2000);
    expect(writing.autosave.again).toBe(4);
    await vi.advanceTimersByTimeAsync(4000);
    expect(writing.autosave.again).toBe(8);
    await vi.advanceTimersByTimeAsync(8000);
    expect([writing.saving, writing.autosave.trouble]).toEqual(['saved', null]);
    expect(sent).toHaveLength(4);
  });

  it('is saved over what somebody else saved when its writer says so', async () => {
    answers.push(() => ({
      error: { detail: 'Changed elsewhere.' },
      response: new Response(null, { status: 409 })
    }));
    const theirs = { ...mailing, subject: 'Theirs', version: 8 };
    vi.spyOn(api, 'GET').mockResolvedValue({ data: theirs, response: new Response() } as never);
    const writing = new Writing(mailing);
    writing.subject = 'Mine';
    writing.changed();
    await writing.save();
    expect(writing.autosave.overtaken).toBe(true);
    await writing.keepMine();
    expect(sent.map((s) => [s.version, s.subject])).toEqual([
      [3, 'Mine'],
      [8, 'Mine']
    ]);
    expect([writing.saving, writing.autosave.overtaken]).toEqual(['saved', false]);
  });

  it('shows what the server has when it is told to', () => {
    const writing = new Writing(mailing);
    writing.take({ ...mailing, subject: 'Theirs', version: 9, state: 'RELEASED' });
    expect(writing.subject).toBe('Theirs');
    expect(writing.isDraft).toBe(false);
    expect(writing.autosave.trouble).toBeNull();
  });
});
