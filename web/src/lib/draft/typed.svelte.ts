import { forget, keepAside, keptAside } from './aside';

interface Kept<T> {
  /** What it began with, as JSON. */
  begins: string;
  value: T;
}

/**
 * What is typed into a form, kept in this browser until it is saved or begun anew: neither a key too
 * much nor a lost page loses it. Made while the form is; it begins with what was typed before, unless
 * somebody has changed meanwhile what that began with.
 */
export class Typed<T extends object> {
  value = $state() as T;
  /** Whether it begins with what was typed before, and not saved. */
  fromBefore = $state(false);
  readonly #name: string;
  #begins: string;

  /** @param name of the form and what it changes, such as "step.12" */
  constructor(name: string, begins: T) {
    this.#name = name;
    this.#begins = JSON.stringify(begins);
    const kept = keptAside<Kept<T>>(name)?.written;
    this.fromBefore = kept?.begins === this.#begins;
    this.value = kept && this.fromBefore ? kept.value : (JSON.parse(this.#begins) as T);
  }

  /** To be called whenever something was typed: as an effect of the form. */
  keep() {
    const value = $state.snapshot(this.value) as T;
    if (JSON.stringify(value) === this.#begins) forget(this.#name);
    else keepAside(this.#name, 0, { begins: this.#begins, value } satisfies Kept<T>);
  }

  anew() {
    this.value = JSON.parse(this.#begins) as T;
    this.fromBefore = false;
  }

  /** It is saved, and what is typed from now on begins with this. */
  saved(as: T) {
    this.#begins = JSON.stringify(as);
    this.fromBefore = false;
    forget(this.#name);
  }
}
