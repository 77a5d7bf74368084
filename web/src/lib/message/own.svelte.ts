import { answer, api } from '$lib/api/client';
import type { OwnWords } from '$lib/api/types';
import { notices } from '$lib/ui/notices.svelte';
import type { Writing } from '$lib/draft/writing.svelte';

const PAUSE = 500;

/** The words of one person alone, while they are being written. */
export class OwnWriting {
  /** Whose words are on the mailing's screen; null when it is the shared ones. */
  person = $state.raw<{ id: number; name: string } | null>(null);
  subject = $state('');
  body = $state('');
  /** The shared words as they were when these were first written. */
  shared = $state.raw({ subject: '', body: '' });
  saving = $state<'saved' | 'changed' | 'failed'>('saved');
  #timer: ReturnType<typeof setTimeout> | undefined;

  constructor(private readonly writing: Writing) {}

  get #path() {
    return { id: this.writing.mailing.id, personId: this.person?.id ?? 0 };
  }

  /** Puts one person's words on the mailing's screen; those who have none begin with the shared ones. */
  async open(id: number, name: string) {
    await this.writing.save();
    const all = await answer(
      api.GET('/api/mailings/{id}/own-words', {
        params: { path: { id: this.writing.mailing.id } }
      })
    );
    const own = all.find((w: OwnWords) => w.personId === id);
    const now = { subject: this.writing.subject, body: this.writing.body };
    this.subject = own?.subject ?? now.subject;
    this.body = own?.body ?? now.body;
    this.shared = own ? { subject: own.sharedSubject, body: own.sharedBody } : now;
    this.saving = 'saved';
    this.person = { id, name };
  }

  changed() {
    this.saving = 'changed';
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.save(), PAUSE);
  }

  async save() {
    clearTimeout(this.#timer);
    if (!this.person || this.saving === 'saved') return;
    try {
      const body = { subject: this.subject, body: this.body };
      const params = { path: this.#path };
      await answer(api.PUT('/api/mailings/{id}/own-words/{personId}', { params, body }));
      this.saving = 'saved';
      this.writing.refresh();
    } catch (error) {
      this.saving = 'failed';
      notices.fail(error);
    }
  }

  /** Back to the shared words on the mailing's screen; this person's stay as they are. */
  async close() {
    await this.save();
    if (this.saving !== 'failed') this.person = null;
  }

  /** This person gets the shared words again. */
  async drop(id: number, name: string) {
    clearTimeout(this.#timer);
    try {
      const params = { path: { id: this.writing.mailing.id, personId: id } };
      await answer(api.DELETE('/api/mailings/{id}/own-words/{personId}', { params }));
      this.person = null;
      this.saving = 'saved';
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
      this.person = null;
      this.saving = 'saved';
      this.writing.refresh();
      notices.say('Everybody gets the shared words again.');
    } catch (error) {
      notices.fail(error);
    }
  }
}
