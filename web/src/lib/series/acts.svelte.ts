import { answer, api } from '$lib/api/client';
import type { Filter, SendPlan, SeriesBody, SeriesStepBody, SeriesView } from '$lib/api/types';
import { people } from '$lib/format/numbers';
import { notices } from '$lib/ui/notices.svelte';
import type { QueryClient } from '@tanstack/svelte-query';
import { movedUp } from './series';

/** What is done with a series; each act tells whether it was done. */
export class SeriesActs {
  constructor(
    private readonly queries: QueryClient,
    private readonly series: () => SeriesView
  ) {}

  get #params() {
    return { path: { id: this.series().id } };
  }

  /** Shows what the server answers, and asks anew whatever hangs on it. */
  async done(act: Promise<SeriesView>, words: string): Promise<boolean> {
    try {
      const view = await act;
      this.queries.setQueryData(['series', view.id], view);
      await this.queries.invalidateQueries({ queryKey: ['series'] });
      await this.queries.invalidateQueries({ queryKey: ['series-people', view.id] });
      if (words) notices.say(words);
      return true;
    } catch (error) {
      notices.fail(error);
      return false;
    }
  }

  save(body: SeriesBody): Promise<boolean> {
    return this.done(answer(api.PUT('/api/series/{id}', { params: this.#params, body })), '');
  }

  saveStep(id: number, body: SeriesStepBody): Promise<boolean> {
    const params = { path: { ...this.#params.path, step: id } };
    return this.done(
      answer(api.PUT('/api/series/{id}/steps/{step}', { params, body })),
      'The step is saved.'
    );
  }

  addStep(body: SeriesStepBody, before: number | null, finishedToo: boolean): Promise<boolean> {
    const params = { ...this.#params, query: { before: before ?? undefined, finishedToo } };
    return this.done(
      answer(api.POST('/api/series/{id}/steps', { params, body })),
      'The step is saved.'
    );
  }

  takeAway(step: number): Promise<boolean> {
    const params = { path: { ...this.#params.path, step } };
    return this.done(
      answer(api.DELETE('/api/series/{id}/steps/{step}', { params })),
      'The step is taken away; everybody is past it.'
    );
  }

  moveUp(at: number): Promise<boolean> {
    const body = movedUp(this.series().steps, at);
    return this.done(
      answer(api.PUT('/api/series/{id}/order', { params: this.#params, body })),
      'The steps have changed places.'
    );
  }

  async letIn(filter: Filter, plan: SendPlan | null): Promise<boolean> {
    const body = { filter, people: [], picked: null, plan };
    const came = await answer(
      api.POST('/api/series/{id}/people', { params: this.#params, body })
    ).catch((error: unknown) => (notices.fail(error), null));
    if (!came) return false;
    return this.anew(
      came.in
        ? `${people(came.in)} ${plan ? 'come in as planned.' : 'came in.'}`
        : 'Nobody came in: all of them are in it or were.'
    );
  }

  async takeOut(person: number, name: string): Promise<boolean> {
    const body = { people: [person] };
    return this.#forOne(
      api.POST('/api/series/{id}/people/out', { params: this.#params, body }),
      `${name} is out.`
    );
  }

  /** Nothing leaves to them before a day begins; null lifts that. */
  async hold(person: number, until: string | null, words: string): Promise<boolean> {
    const params = { path: { ...this.#params.path, person } };
    return this.#forOne(
      api.PUT('/api/series/{id}/people/{person}/hold', { params, body: { until } }),
      words
    );
  }

  async skip(person: number, step: number, words: string): Promise<boolean> {
    const params = { path: { ...this.#params.path, person, step } };
    return this.#forOne(
      api.POST('/api/series/{id}/people/{person}/skip/{step}', { params }),
      words
    );
  }

  async skipNot(person: number, step: number, words: string): Promise<boolean> {
    const params = { path: { ...this.#params.path, person, step } };
    return this.#forOne(
      api.DELETE('/api/series/{id}/people/{person}/skip/{step}', { params }),
      words
    );
  }

  async sendNow(person: number, step: number, words: string): Promise<boolean> {
    const params = { path: { ...this.#params.path, person, step } };
    return this.#forOne(api.POST('/api/series/{id}/people/{person}/now/{step}', { params }), words);
  }

  async #forOne(act: Parameters<typeof answer>[0], words: string): Promise<boolean> {
    try {
      await answer(act);
    } catch (error) {
      notices.fail(error);
      return false;
    }
    return this.anew(words);
  }

  anew(words: string): Promise<boolean> {
    return this.done(answer(api.GET('/api/series/{id}', { params: this.#params })), words);
  }
}
