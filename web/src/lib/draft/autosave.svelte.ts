import { ApiProblem } from '$lib/api/client';

const PAUSE = 500;

/** How long it is waited before the next try, in seconds; the last goes on. */
const WAITS = [2, 4, 8, 15, 30] as const;

/** Troubles that pass: no connection, nobody signed in, a server that is away or too busy. */
const PASSING = [0, 401, 429, 500, 502, 503, 504];

/** What saves itself a moment after the last key, and again until the server has it. */
export class Autosave {
  /** saved, waiting to be saved, being saved, or not saved and why. */
  state = $state<'saved' | 'changed' | 'saving' | 'failed'>('saved');
  /** Why the last save failed. */
  trouble = $state<string | null>(null);
  /** In how many seconds it is tried again; null when that would not help. */
  again = $state<number | null>(null);
  /** Whether somebody else has saved in the meantime. */
  overtaken = $state(false);

  #timer: ReturnType<typeof setTimeout> | undefined;
  #running: Promise<void> | null = null;
  #changedSince = false;
  #failures = 0;

  constructor(
    /** Sends what is written to the server. */
    private readonly send: () => Promise<void>,
    /** Keeps it in this browser until then, and forgets it afterwards. */
    private readonly aside: { keep: () => void; forget: () => void }
  ) {}

  /** Something was changed: it will be saved in a moment, and is kept aside until it is. */
  changed() {
    this.state = 'changed';
    this.#changedSince = true;
    this.aside.keep();
    this.#in(PAUSE);
  }

  /** Saves now, what is being saved first; resolves when all is saved or has failed. */
  async save(): Promise<void> {
    clearTimeout(this.#timer);
    if (this.#running) await this.#running;
    if (!this.#changedSince) return;
    this.#running = this.#try().finally(() => (this.#running = null));
    await this.#running;
  }

  /** What was written is given up, or is known to be at the server. */
  settle() {
    clearTimeout(this.#timer);
    this.#changedSince = false;
    this.#failures = 0;
    this.state = 'saved';
    this.trouble = null;
    this.again = null;
    this.overtaken = false;
  }

  async #try() {
    this.#changedSince = false;
    this.state = 'saving';
    try {
      await this.send();
      const more = this.#changedSince;
      this.settle();
      if (more) this.changed();
      else this.aside.forget();
    } catch (error) {
      this.#failed(error);
    }
  }

  #failed(error: unknown) {
    const status = error instanceof ApiProblem ? error.status : -1;
    this.#changedSince = true;
    this.state = 'failed';
    this.trouble = error instanceof Error ? error.message : 'It could not be saved.';
    this.overtaken = status === 409;
    this.again = null;
    if (!PASSING.includes(status)) return;
    this.again = WAITS[Math.min(this.#failures++, WAITS.length - 1)] ?? null;
    this.#in((this.again ?? 0) * 1000);
  }

  #in(milliseconds: number) {
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.save(), milliseconds);
  }
}
