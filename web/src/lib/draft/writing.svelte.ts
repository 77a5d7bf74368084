import { ApiProblem, answer, api } from '$lib/api/client';
import type { AudiencePart, WholeMailing, ShownPart, ChangeBody, SendPlan } from '$lib/api/types';
import { forget, keepAside, keptAside, type Aside } from './aside';

const PAUSE = 500;

/** What is written of a mailing, besides its version and the template it began from. */
const WRITTEN = [
  'name',
  'subject',
  'body',
  'topicId',
  'letterheadId',
  'promotional',
  'voice',
  'repliesTo',
  'replyColleague',
  'private',
  'recordEach',
  'parts',
  'leftOutParts',
  'picks',
  'leftOut',
  'plan',
  'countOpens',
  'countClicks'
] as const;

const AT_ONCE: SendPlan = {
  startWall: null,
  startOwn: false,
  startZone: null,
  wavePeople: null,
  waveGapSeconds: 900,
  hours: null,
  ownClock: false,
  doneBy: null
};

/** One mailing on the mailing's screen: what is written is saved by itself, a moment after the last key. */
export class Writing {
  mailing = $state.raw<WholeMailing>() as WholeMailing;
  /** saved, waiting to be saved, being saved, or not saved and why. */
  saving = $state<'saved' | 'changed' | 'saving' | 'failed'>('saved');
  /** Why the last save failed; a later version elsewhere cannot be saved over. */
  trouble = $state<string | null>(null);
  /** Words that could not be saved, of a version that somebody has saved over since. */
  kept = $state.raw<Aside | null>(null);
  /** Counts up with each save, so that check and proofs are asked anew. */
  revision = $state(0);

  name = $state('');
  subject = $state('');
  body = $state('');
  topicId = $state(0);
  letterheadId = $state<number | null>(null);
  promotional = $state(true);
  voice = $state<WholeMailing['voice']>('SENDER');
  repliesTo = $state<WholeMailing['repliesTo']>('SENDER');
  replyColleague = $state<number | null>(null);
  private = $state(false);
  recordEach = $state<boolean | null>(false);
  parts = $state.raw<ShownPart[]>([]);
  leftOutParts = $state.raw<ShownPart[]>([]);
  picks = $state.raw<number[]>([]);
  leftOut = $state.raw<number[]>([]);
  plan = $state.raw<SendPlan>(AT_ONCE);
  countOpens = $state(true);
  countClicks = $state(true);

  #timer: ReturnType<typeof setTimeout> | undefined;
  #running: Promise<void> | null = null;
  #changedSince = false;

  constructor(mailing: WholeMailing) {
    this.#show(mailing);
    this.#takeWhatWasKept();
  }

  get isDraft(): boolean {
    return this.mailing.state === 'DRAFT';
  }

  /** Shows a mailing as the server has it; what could not be saved is given up. */
  take(mailing: WholeMailing) {
    this.#show(mailing);
    this.forgetKept();
  }

  #show(mailing: WholeMailing) {
    this.mailing = mailing;
    Object.assign(this, Object.fromEntries(WRITTEN.map((what) => [what, mailing[what]])));
    this.saving = 'saved';
    this.trouble = null;
    this.revision++;
  }

  /** Something was changed: it will be saved in a moment, and is kept aside until it is. */
  changed() {
    this.saving = 'changed';
    this.#changedSince = true;
    keepAside(this.mailing.id, this.mailing.version, this.subject, this.body);
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.save(), PAUSE);
  }

  /** Sets one thing that is written of the mailing. */
  set<K extends keyof ChangeBody & keyof this>(what: K, value: this[K]) {
    this[what] = value;
    this.changed();
  }

  /** Something beside the words was changed at the server: the check is asked anew. */
  refresh() {
    this.revision++;
  }

  /** Saves now, what is being saved first; resolves when all is saved or has failed. */
  async save(): Promise<void> {
    clearTimeout(this.#timer);
    if (this.#running) await this.#running;
    if (!this.#changedSince) return;
    this.#running = this.#send().finally(() => (this.#running = null));
    await this.#running;
  }

  /** Words that could not be saved before this page was left or lost. */
  #takeWhatWasKept() {
    this.kept = this.isDraft ? keptAside(this.mailing.id) : null;
    if (this.kept?.version === this.mailing.version) this.putKeptIn();
  }

  /** Puts the words in that were kept aside. */
  putKeptIn() {
    if (!this.kept) return;
    this.subject = this.kept.subject;
    this.body = this.kept.body;
    this.kept = null;
    this.changed();
  }

  forgetKept() {
    this.kept = null;
    forget(this.mailing.id);
  }

  async #send() {
    this.#changedSince = false;
    this.saving = 'saving';
    try {
      const params = { path: { id: this.mailing.id } };
      const saved = await answer(api.PUT('/api/mailings/{id}', { params, body: this.#written() }));
      this.mailing = saved;
      this.trouble = null;
      this.saving = this.#changedSince ? 'changed' : 'saved';
      if (!this.#changedSince) forget(saved.id);
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

  #written(): ChangeBody {
    return {
      version: this.mailing.version,
      name: this.name,
      subject: this.subject,
      body: this.body,
      templateId: this.mailing.templateId,
      topicId: this.topicId,
      letterheadId: this.letterheadId,
      promotional: this.promotional,
      voice: this.voice,
      repliesTo: this.repliesTo,
      replyColleague: this.replyColleague,
      private: this.private,
      recordEach: this.recordEach,
      parts: this.parts.map(stored),
      leftOutParts: this.leftOutParts.map(stored),
      picks: this.picks,
      leftOut: this.leftOut,
      plan: this.plan,
      countOpens: this.countOpens,
      countClicks: this.countClicks
    };
  }
}

function stored(part: ShownPart): AudiencePart {
  return { name: part.name, filter: part.filter };
}
