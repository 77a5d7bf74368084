import { answer, api } from '$lib/api/client';
import { notices } from '$lib/ui/notices.svelte';
import type { SeriesActs } from './acts.svelte';

/** What is done for one of the people in a series; each act tells whether it was done. */
export class EntryActs {
  constructor(private readonly acts: SeriesActs) {}

  async takeOut(person: number, name: string): Promise<boolean> {
    const body = { people: [person] };
    const out = await answer(
      api.POST('/api/series/{id}/people/out', { params: this.acts.params, body })
    ).catch((error: unknown) => (notices.fail(error), null));
    return !!out && this.acts.anew(`${name} is out.`, this.acts.back(out.act));
  }

  /**
   * Nothing leaves to them before a day begins; null lifts that.
   *
   * @param before the day it was until then, or null
   */
  async hold(
    person: number,
    until: string | null,
    words: string,
    before: string | null
  ): Promise<boolean> {
    return this.#forOne(this.#until(person, until), words, () => {
      void this.#forOne(this.#until(person, before), 'They wait as before.');
    });
  }

  #until(person: number, until: string | null) {
    const params = { path: { ...this.acts.params.path, person } };
    return api.PUT('/api/series/{id}/people/{person}/hold', { params, body: { until } });
  }

  async skip(person: number, step: number, name: string, place: number): Promise<boolean> {
    const params = { path: { ...this.acts.params.path, person, step } };
    return this.#forOne(
      api.POST('/api/series/{id}/people/{person}/skip/{step}', { params }),
      `${name} does not get step ${place}.`,
      () => void this.skipNot(person, step, name, place)
    );
  }

  async skipNot(person: number, step: number, name: string, place: number): Promise<boolean> {
    const params = { path: { ...this.acts.params.path, person, step } };
    return this.#forOne(
      api.DELETE('/api/series/{id}/people/{person}/skip/{step}', { params }),
      `${name} gets step ${place}.`,
      () => void this.skip(person, step, name, place)
    );
  }

  async sendNow(person: number, step: number, words: string): Promise<boolean> {
    const params = { path: { ...this.acts.params.path, person, step } };
    return this.#forOne(api.POST('/api/series/{id}/people/{person}/now/{step}', { params }), words);
  }

  async #forOne(
    act: Parameters<typeof answer>[0],
    words: string,
    back?: () => void
  ): Promise<boolean> {
    try {
      await answer(act);
    } catch (error) {
      notices.fail(error);
      return false;
    }
    return this.acts.anew(words, back);
  }
}
