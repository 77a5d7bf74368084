import { answer, api } from '$lib/api/client';
import type { OwnWords } from '$lib/api/types';
import { sharedOn, type Channel } from '$lib/ways/ways';
import { notices } from '$lib/ui/notices.svelte';
import { forget, keepAside, keptAside } from '$lib/draft/aside';
import { Autosave } from '$lib/draft/autosave.svelte';
import type { Writing } from '$lib/draft/writing.svelte';

interface Words {
  subject: string;
  body: string;
}

/** The shared words of a way. */
function sharedWords(writing: Writing, channel: Channel): Words {
  const { subject, body, text, notice, paper } = writing;
  return sharedOn(channel, { subject, body }, { text, notice, paper });
}

const ownWays: Channel[] = ['EMAIL', 'TEXT', 'APP', 'POST'];

/** Under which they are kept until they are saved. */
function asideKey(writing: Writing, person: number, channel: Channel): string {
  const key = `${writing.mailing.id}.${person}`;
  return channel === 'EMAIL' ? key : `${key}.${channel}`;
}

/** The words of one person alone, while they are being written. */
export class OwnWriting {
  /** Whose words are on the mailing's screen; null when it is the shared ones. */
  person = $state.raw<{ id: number; name: string } | null>(null);
  /** The way they are for. */
  channel = $state.raw<Channel>('EMAIL');
  subject = $state('');
  body = $state('');
  /** The shared words as they were when these were first written. */
  shared = $state.raw({ subject: '', body: '' });
  /** Which of this person's own words these are written over; 0 where there were none. */
  #version = 0;
  /** How far they are saved. */
  readonly autosave = new Autosave(() => this.#send(), {
    keep: () => keepAside(this.#key, 0, { subject: this.subject, body: this.body }),
    forget: () => forget(this.#key)
  });

  constructor(private readonly writing: Writing) {}

  get saving() {
    return this.autosave.state;
  }

  get #key(): string {
    return asideKey(this.writing, this.person?.id ?? 0, this.channel);
  }

  get #path() {
    return { id: this.writing.mailing.id, personId: this.person?.id ?? 0 };
  }

  /** Puts one person's words on the mailing's screen; those who have none begin with the shared ones. */
  async open(id: number, name: string, channel: Channel) {
    await this.writing.save();
    const own = await this.#wordsOf(id, channel);
    const now = sharedWords(this.writing, channel);
    this.channel = channel;
    this.subject = own?.subject ?? now.subject;
    this.body = own?.body ?? now.body;
    this.shared = own ? { subject: own.sharedSubject, body: own.sharedBody } : now;
    this.#version = own?.version ?? 0;
    this.autosave.settle();
    this.person = { id, name };
    this.#takeWhatWasKept();
  }

  async #wordsOf(person: number, channel = this.channel): Promise<OwnWords | undefined> {
    const params = { path: { id: this.writing.mailing.id } };
    const all = await answer(api.GET('/api/mailings/{id}/own-words', { params }));
    return all.find((w: OwnWords) => w.personId === person && w.channel === channel);
  }

  /** This person's words as the server has them now: their own, or else the shared ones. */
  async theirs(): Promise<Words> {
    const own = await this.#wordsOf(this.person?.id ?? 0);
    return own ?? sharedWords(this.writing, this.channel);
  }

  /** What stands here is saved over what somebody else has saved meanwhile. */
  async keepMine() {
    this.#version = (await this.#wordsOf(this.person?.id ?? 0))?.version ?? 0;
    await this.save();
  }

  /** What stands here is given up for what somebody else has saved meanwhile. */
  async takeTheirs() {
    if (!this.person) return;
    forget(this.#key);
    await this.open(this.person.id, this.person.name, this.channel);
  }

  /** What could not be saved before this page was left or lost. */
  #takeWhatWasKept() {
    const kept = keptAside<Words>(this.#key);
    if (!kept) return;
    this.subject = kept.written.subject;
    this.body = kept.written.body;
    this.changed();
  }

  /** Other words, or another title. */
  write(change: Partial<Words>) {
    this.subject = change.subject ?? this.subject;
    this.body = change.body ?? this.body;
    this.changed();
  }

  changed() {
    this.autosave.changed();
  }

  async save() {
    if (this.person) await this.autosave.save();
  }

  async #send() {
    const { channel, subject } = this;
    const body = { channel, subject, body: this.body, version: this.#version };
    const params = { path: this.#path };
    const url = '/api/mailings/{id}/own-words/{personId}';
    this.#version = (await answer(api.PUT(url, { params, body }))).version;
    this.writing.refresh();
  }

  /** Back to the shared words on the mailing's screen; this person's stay as they are. */
  async close() {
    await this.save();
    if (this.saving !== 'failed') this.person = null;
  }

  /** This person gets the shared words again. */
  async drop(id: number, name: string) {
    try {
      const params = { path: { id: this.writing.mailing.id, personId: id } };
      await answer(api.DELETE('/api/mailings/{id}/own-words/{personId}', { params }));
      this.autosave.settle();
      ownWays.forEach((channel) => forget(asideKey(this.writing, id, channel)));
      this.person = null;
      this.writing.refresh();
      notices.say(`${name} gets the shared words again.`);
    } catch (error) {
      notices.fail(error);
    }
  }

  /** Everybody gets the shared words again. */
  async dropAll() {
    try {
      const params = { path: { id: this.writing.mailing.id } };
      await answer(api.DELETE('/api/mailings/{id}/own-words', { params }));
      this.autosave.settle();
      this.person = null;
      this.writing.refresh();
      notices.say('Everybody gets the shared words again.');
    } catch (error) {
      notices.fail(error);
    }
  }
}
