import { answer, api } from '$lib/api/client';
import type { AudiencePart, WholeMailing, ShownPart, ChangeBody, SendPlan } from '$lib/api/types';
import { forget, keepAside, keptAside, type Aside } from './aside';
import { Autosave } from './autosave.svelte';
import { isNamedBy, namedBy } from './naming';
import { AT_ONCE, NO_PAPER, WRITTEN } from './written';

/** One mailing on the mailing's screen: what is written is saved by itself, a moment after the last key. */
export class Writing {
  mailing = $state.raw<WholeMailing>() as WholeMailing;
  /** How far it is saved. */
  readonly autosave = new Autosave(() => this.#send(), {
    keep: () => keepAside(this.#key, this.mailing.version, this.#written()),
    forget: () => forget(this.#key)
  });
  /** What could not be saved, of a version that somebody has saved over since. */
  kept = $state.raw<Aside<ChangeBody> | null>(null);
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
  ways = $state.raw<WholeMailing['ways']>(['EMAIL']);
  text = $state.raw<WholeMailing['text']>({ words: '', likeness: 'NOWHERE' });
  notice = $state.raw<WholeMailing['notice']>({ title: '', words: '', link: '' });
  paper = $state.raw<WholeMailing['paper']>(NO_PAPER);

  /** Whether nobody has named it, so that its subject does. */
  #followsSubject = false;

  constructor(mailing: WholeMailing) {
    this.#show(mailing);
    this.#takeWhatWasKept();
  }

  get #key(): string {
    return String(this.mailing.id);
  }

  get isDraft(): boolean {
    return this.mailing.state === 'DRAFT';
  }

  get saving() {
    return this.autosave.state;
  }

  /** Shows a mailing as the server has it; what could not be saved is given up. */
  take(mailing: WholeMailing) {
    this.#show(mailing);
    this.revision++;
    this.forgetKept();
  }

  #show(mailing: WholeMailing) {
    this.mailing = mailing;
    this.#put(mailing);
    this.autosave.settle();
  }

  #put(written: Pick<WholeMailing, (typeof WRITTEN)[number]> | ChangeBody) {
    // What was kept aside by an older page lacks what is newer; that stays as it is.
    const known = WRITTEN.filter((what) => written[what] !== undefined);
    Object.assign(this, Object.fromEntries(known.map((what) => [what, written[what]])));
    this.#followsSubject = isNamedBy(this.subject, this.name);
  }

  changed() {
    if (this.#followsSubject) this.name = namedBy(this.subject);
    this.autosave.changed();
  }

  /** Names it; a name that is taken away is given by the subject again. */
  call(name: string) {
    this.name = name;
    this.#followsSubject = false;
    this.changed();
    this.#followsSubject = name.trim() === '';
  }

  /** Sets one thing that is written of the mailing. */
  set<K extends keyof ChangeBody & keyof this>(what: K, value: this[K]) {
    this[what] = value;
    this.changed();
  }

  leaveOut(person: number) {
    this.set('leftOut', [...this.leftOut, person]);
  }

  takeIn(person: number) {
    this.set(
      'leftOut',
      this.leftOut.filter((p) => p !== person)
    );
  }

  /** Something beside the words was changed at the server: the check is asked anew. */
  refresh() {
    this.revision++;
  }

  save = () => this.autosave.save();

  /** What stands here is saved over what somebody else has saved. */
  async keepMine() {
    this.mailing = await this.theirs();
    await this.save();
  }

  /** The mailing as the server has it now. */
  theirs(): Promise<WholeMailing> {
    const params = { path: { id: this.mailing.id } };
    return answer(api.GET('/api/mailings/{id}', { params }));
  }

  /** What could not be saved before this page was left or lost. */
  #takeWhatWasKept() {
    this.kept = this.isDraft ? keptAside<ChangeBody>(this.#key) : null;
    if (this.kept?.version === this.mailing.version) this.putKeptIn();
  }

  /** Puts in what was kept aside. */
  putKeptIn() {
    if (!this.kept) return;
    this.#put(this.kept.written);
    this.kept = null;
    this.changed();
  }

  forgetKept() {
    this.kept = null;
    forget(this.#key);
  }

  async #send() {
    const params = { path: { id: this.mailing.id } };
    const saved = await answer(api.PUT('/api/mailings/{id}', { params, body: this.#written() }));
    this.mailing = saved;
    this.revision++;
  }

  #written(): ChangeBody {
    return {
      version: this.mailing.version,
      name: this.name.trim() ? this.name : namedBy(this.subject),
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
      countClicks: this.countClicks,
      ways: this.ways,
      text: this.text,
      notice: this.notice,
      paper: this.paper
    };
  }
}

function stored(part: ShownPart): AudiencePart {
  return { name: part.name, filter: part.filter };
}
