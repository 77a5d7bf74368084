import { ApiProblem, answer, api } from '$lib/api/client';
import type { Bench } from '$lib/api/types';

const PAUSE = 500;

/** One mailing on the bench: what is written is saved by itself, a moment after the last key. */
export class BenchState {
  mailing = $state.raw<Bench>() as Bench;
  /** saved, waiting to be saved, being saved, or not saved and why. */
  saving = $state<'saved' | 'changed' | 'saving' | 'failed'>('saved');
  /** Why the last save failed; a later version elsewhere cannot be saved over. */
  trouble = $state<string | null>(null);
  /** Counts up with each save, so that check and proofs are asked anew. */
  revision = $state(0);

  name = $state('');
  subject = $state('');
  body = $state('');
  topicId = $state(0);
  leftOut = $state.raw<number[]>([]);
  startWall = $state<string | null>(null);
  countOpens = $state(true);
  countClicks = $state(true);

  #timer: ReturnType<typeof setTimeout> | undefined;
  #running: Promise<void> | null = null;
  #changedSince = false;

  constructor(mailing: Bench) {
    this.take(mailing);
  }

  get isDraft(): boolean {
    return this.mailing.state === 'DRAFT';
  }

  /** Shows a mailing as the server has it. */
  take(mailing: Bench) {
    this.mailing = mailing;
    this.name = mailing.name;
    this.subject = mailing.subject;
    this.body = mailing.body;
    this.topicId = mailing.topicId;
    this.leftOut = mailing.leftOut;
    this.startWall = mailing.startWall;
    this.countOpens = mailing.countOpens;
    this.countClicks = mailing.countClicks;
    this.saving = 'saved';
    this.trouble = null;
    this.revision++;
  }

  /** Something was changed: it will be saved in a moment. */
  changed() {
    this.saving = 'changed';
    this.#changedSince = true;
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.save(), PAUSE);
  }

  /** Saves now, what is being saved first; resolves when all is saved or has failed. */
  async save(): Promise<void> {
    clearTimeout(this.#timer);
    if (this.#running) await this.#running;
    if (!this.#changedSince) return;
    this.#running = this.#send().finally(() => (this.#running = null));
    await this.#running;
  }

  async #send() {
    this.#changedSince = false;
    this.saving = 'saving';
    try {
      const saved = await answer(
        api.PUT('/api/mailings/{id}', {
          params: { path: { id: this.mailing.id } },
          body: {
            version: this.mailing.version,
            name: this.name,
            subject: this.subject,
            body: this.body,
            templateId: this.mailing.templateId,
            topicId: this.topicId,
            leftOut: this.leftOut,
            startWall: this.startWall,
            countOpens: this.countOpens,
            countClicks: this.countClicks
          }
        })
      );
      this.mailing = saved;
      this.trouble = null;
      this.saving = this.#changedSince ? 'changed' : 'saved';
      this.revision++;
    } catch (error) {
      this.#changedSince = true;
      this.saving = 'failed';
      this.trouble = error instanceof Error ? error.message : 'It could not be saved.';
      // Without a connection nothing is lost: what is written stays here and is sent again.
      if (error instanceof ApiProblem && error.status === 0) {
        this.#timer = setTimeout(() => void this.save(), 4000);
      }
    }
  }
}
