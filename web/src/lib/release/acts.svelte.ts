import { goto } from '$app/navigation';
import { answer, api, ApiProblem } from '$lib/api/client';
import type { SendPlan } from '$lib/api/types';
import { count, messages } from '$lib/format/numbers';
import { onlyThese, toBody } from '$lib/list/selection';
import { notices } from '$lib/ui/notices.svelte';
import type { QueryClient } from '@tanstack/svelte-query';
import type { Writing } from '$lib/draft/writing.svelte';
import type { Chosen } from '$lib/check/looking.svelte';

const everyoneOf = { match: 'ALL' as const, conditions: [], related: [], groups: [] };

/** What is done with a mailing at the server, each once everything written is saved. */
export class MailingActs {
  busy = $state(false);

  constructor(
    private readonly writing: Writing,
    private readonly queries: QueryClient
  ) {}

  /** Sends one person's message to a colleague, or with null to oneself. */
  sendCopy(whose: Chosen, name: string, colleagueId: number | null = null) {
    return this.#act(async (params) => {
      const body = { personId: whose.id, recordId: whose.recordId, colleagueId };
      const sent = await answer(api.POST('/api/mailings/{id}/copy', { params, body }));
      notices.say(`A copy of ${name}’s message is on its way to ${sent.address}.`);
    });
  }

  release(tasksDone: boolean) {
    return this.#act(async (params) => {
      const body = { version: this.writing.mailing.version };
      const released = api.POST('/api/mailings/{id}/release', { params, body });
      try {
        this.writing.take(await answer(released));
      } catch (error) {
        await this.#lookWhetherReleased(error);
      }
      void this.queries.invalidateQueries({ queryKey: ['counts'] });
      if (tasksDone) await this.#markTasks(params);
    });
  }

  /** Asks a second colleague for the nod that releases it. */
  askForNod() {
    return this.#act(async (params) => {
      const body = { version: this.writing.mailing.version };
      await answer(api.POST('/api/mailings/{id}/nod', { params, body }));
      notices.say('The nod is asked for. Nothing leaves before it is given.');
      await this.queries.invalidateQueries({ queryKey: ['nod'] });
    });
  }

  /** A release whose answer was lost may have happened: it is looked, and said. */
  async #lookWhetherReleased(error: unknown) {
    if (!(error instanceof ApiProblem) || error.status !== 0) throw error;
    notices.say('No answer came to the release. Looking whether it happened …');
    try {
      await this.reload();
    } catch {
      throw new ApiProblem(
        0,
        'No answer came to the release, and Jemble cannot be reached to look. It may have been released: look here again before you release it once more.',
        ''
      );
    }
    if (this.writing.isDraft) {
      throw new ApiProblem(0, 'It was not released: the answer was lost on the way there.', '');
    }
    notices.say('It was released; only the answer was lost.');
  }

  async #markTasks(params: { path: { id: number } }) {
    const { tasks } = await answer(api.POST('/api/mailings/{id}/tasks-done', { params }));
    void this.queries.invalidateQueries();
    const words = tasks.length === 1 ? '1 task is done.' : `${count(tasks.length)} tasks are done.`;
    notices.say(words, () => void this.#openAgain(tasks));
  }

  async #openAgain(tasks: number[]) {
    try {
      const which = toBody(onlyThese(tasks), everyoneOf);
      await answer(api.POST('/api/tasks/done', { body: { which, done: false } }));
      void this.queries.invalidateQueries();
    } catch (error) {
      notices.fail(error);
    }
  }

  /** The same words for the same people, as a draft of its own. */
  useAgain() {
    return this.#act(async () => {
      const nobody = { parts: [], picks: [], leftOut: [], records: null, recordEach: false };
      const begins = { templateId: null, byPost: false, documentId: null };
      const body = { ...nobody, ...begins, mailingId: this.writing.mailing.id };
      const begun = await answer(api.POST('/api/mailings', { body }));
      void this.queries.invalidateQueries();
      await goto(`/mailings/${begun.id}`);
      notices.say('A new draft with the same words, for the same people as they are today.');
    });
  }

  takeBack() {
    return this.#act(async (params) => {
      this.writing.take(await answer(api.POST('/api/mailings/{id}/take-back', { params })));
      notices.say('Taken back: nothing has left, and it is a draft again.');
    });
  }

  withdraw() {
    return this.#act(async (params) => {
      const done = await answer(api.POST('/api/mailings/{id}/withdraw', { params }));
      notices.say(`${count(done.messages)} withdrawn; what has left stays left.`);
      await this.reload();
    });
  }

  /** Holds back what has not left. */
  pause() {
    return this.#act(async (params) => {
      const done = await answer(api.POST('/api/mailings/{id}/pause', { params }));
      notices.say(`${messages(done.messages)} held back.`, () => void this.resume());
      await this.#moved();
    });
  }

  /** What was held back goes on by its plan. */
  resume() {
    return this.#act(async (params) => {
      const done = await answer(api.POST('/api/mailings/{id}/resume', { params }));
      notices.say(`${messages(done.messages)} go on by the plan.`);
      await this.#moved();
    });
  }

  /** What has not left leaves by another plan. */
  replan(plan: SendPlan) {
    return this.#act(async (params) => {
      const done = await answer(api.PUT('/api/mailings/{id}/rest', { params, body: plan }));
      notices.say(`${messages(done.messages)} leave by the new plan.`);
      await this.#moved();
    });
  }

  async #moved() {
    await this.reload();
    await this.queries.invalidateQueries();
  }

  /** Keeps the words as a template: back to the one they began from, or with a name as a new one. */
  saveTemplate(name: string | null) {
    return this.#act(async (params) => {
      const saved = await answer(
        api.POST('/api/mailings/{id}/template', { params, body: { name } })
      );
      void this.queries.invalidateQueries({ queryKey: ['templates'] });
      notices.say(`The template “${saved.name}” now says what this message says.`);
    });
  }

  /** Puts the draft away at once; the notice takes it back. */
  discard() {
    return this.#act(async (params) => {
      await answer(api.DELETE('/api/mailings/{id}', { params }));
      void this.queries.invalidateQueries();
      await goto('/mailings');
      notices.say(`“${this.writing.name}” is discarded.`, () => void this.#restore(params.path.id));
    });
  }

  /** Shows what the server has; what could not be saved is given up. */
  async reload() {
    const params = { path: { id: this.writing.mailing.id } };
    this.writing.take(await answer(api.GET('/api/mailings/{id}', { params })));
  }

  async #restore(id: number) {
    try {
      await answer(api.POST('/api/mailings/{id}/restore', { params: { path: { id } } }));
      void this.queries.invalidateQueries();
      await goto(`/mailings/${id}`);
    } catch (error) {
      notices.fail(error);
    }
  }

  async #act(what: (params: { path: { id: number } }) => Promise<void>) {
    this.busy = true;
    try {
      await this.writing.save();
      if (this.writing.saving !== 'failed') await what({ path: { id: this.writing.mailing.id } });
    } catch (error) {
      notices.fail(error);
    } finally {
      this.busy = false;
    }
  }
}
