import { answer, api } from '$lib/api/client';
import type {
  Filter,
  SendPlan,
  SeriesBody,
  SeriesStep,
  SeriesStepBody,
  SeriesView
} from '$lib/api/types';
import { people } from '$lib/format/numbers';
import { notices } from '$lib/ui/notices.svelte';
import type { QueryClient } from '@tanstack/svelte-query';
import { undo } from '$lib/people/bulk/doing';
import { bodyOfSeries, bodyOfStep, hadBy, movedUp } from './series';

/** What is done with a series; each act tells whether it was done. */
export class SeriesActs {
  constructor(
    private readonly queries: QueryClient,
    private readonly series: () => SeriesView
  ) {}

  get params() {
    return { path: { id: this.series().id } };
  }

  /** Shows what the server answers, and asks anew whatever hangs on it. */
  async done(act: Promise<SeriesView>, words: string, back?: () => void): Promise<boolean> {
    try {
      const view = await act;
      this.queries.setQueryData(['series', view.id], view);
      if (words) notices.say(words, back);
      await this.queries.invalidateQueries({ queryKey: ['series'] });
      await this.queries.invalidateQueries({ queryKey: ['series-people', view.id] });
      return true;
    } catch (error) {
      notices.fail(error);
      return false;
    }
  }

  async save(body: SeriesBody): Promise<boolean> {
    const before = bodyOfSeries(this.series());
    const act = this.#put(body);
    return this.done(act, 'How it runs is saved.', () => void this.#saveBack(before, act));
  }

  /** Not over what somebody else has saved since: it is of the version that was saved. */
  async #saveBack(before: SeriesBody, saved: Promise<SeriesView>): Promise<boolean> {
    const { version } = await saved;
    return this.done(this.#put({ ...before, version }), 'It runs as before.');
  }

  #put(body: SeriesBody): Promise<SeriesView> {
    return answer(api.PUT('/api/series/{id}', { params: this.params, body }));
  }

  saveStep(id: number, body: SeriesStepBody): Promise<boolean> {
    const before = this.series().steps.find((step) => step.id === id);
    return this.done(
      this.#putStep(id, body),
      'The step is saved.',
      before &&
        (() => void this.done(this.#putStep(id, bodyOfStep(before)), 'The step is as before.'))
    );
  }

  #putStep(id: number, body: SeriesStepBody): Promise<SeriesView> {
    const params = { path: { ...this.params.path, step: id } };
    return answer(api.PUT('/api/series/{id}/steps/{step}', { params, body }));
  }

  async addStep(
    body: SeriesStepBody,
    before: number | null,
    finishedToo: boolean
  ): Promise<boolean> {
    const params = { ...this.params, query: { before: before ?? undefined, finishedToo } };
    const act = answer(api.POST('/api/series/{id}/steps', { params, body }));
    return this.done(act, 'The step is saved.', () => void this.#dropNewest(act));
  }

  /** The one that was put in has the highest number of those that were there then. */
  async #dropNewest(act: Promise<SeriesView>): Promise<boolean> {
    const { steps } = await act;
    const added = Math.max(...steps.map((step) => step.id));
    return this.done(this.#dropStep(added), 'The step is not in it any more.');
  }

  #dropStep(step: number): Promise<SeriesView> {
    const params = { path: { ...this.params.path, step } };
    return answer(api.DELETE('/api/series/{id}/steps/{step}', { params }));
  }

  takeAway(id: number): Promise<boolean> {
    const { steps } = this.series();
    const at = steps.findIndex((step) => step.id === id);
    const gone = steps[at];
    return this.done(
      this.#dropStep(id),
      'The step is taken away; everybody is past it.',
      gone && (() => void this.#putBack(gone, steps[at + 1]?.id ?? null))
    );
  }

  /** One that nobody had was forgotten, and is written anew. */
  #putBack(gone: SeriesStep, before: number | null): Promise<boolean> {
    if (!hadBy(gone)) return this.addStep(bodyOfStep(gone), before, false);
    const params = { path: { ...this.params.path, step: gone.id } };
    return this.done(
      answer(api.POST('/api/series/{id}/steps/{step}/back', { params })),
      'The step is there again.'
    );
  }

  moveUp(at: number): Promise<boolean> {
    const before = this.series().steps.map((step) => step.id);
    return this.done(
      this.#order(movedUp(this.series().steps, at)),
      'The steps have changed places.',
      () => void this.done(this.#order(before), 'The steps are in their places again.')
    );
  }

  #order(body: number[]): Promise<SeriesView> {
    return answer(api.PUT('/api/series/{id}/order', { params: this.params, body }));
  }

  pause(): Promise<boolean> {
    return this.done(
      answer(api.POST('/api/series/{id}/pause', { params: this.params })),
      'Paused: nothing leaves.',
      // As if there had been no pause: what came due meanwhile leaves.
      () => void this.goOn(false)
    );
  }

  goOn(waitsStoodStill: boolean): Promise<boolean> {
    const body = { waitsStoodStill };
    return this.done(
      answer(api.POST('/api/series/{id}/go-on', { params: this.params, body })),
      'The series goes on.',
      () => void this.pause()
    );
  }

  async letIn(filter: Filter, plan: SendPlan | null): Promise<boolean> {
    const body = { filter, people: [], picked: null, plan };
    const came = await answer(
      api.POST('/api/series/{id}/people', { params: this.params, body })
    ).catch((error: unknown) => (notices.fail(error), null));
    if (!came) return false;
    return this.anew(
      came.in
        ? `${people(came.in)} ${plan ? 'come in as planned.' : 'came in.'}`
        : 'Nobody came in: all of them are in it or were.',
      this.back(came.act)
    );
  }

  /** How an act of the history is taken back, where there is one. */
  back(act: number | null): (() => void) | undefined {
    return act === null ? undefined : () => void undo(this.queries, act);
  }

  anew(words: string, back?: () => void): Promise<boolean> {
    return this.done(answer(api.GET('/api/series/{id}', { params: this.params })), words, back);
  }
}
