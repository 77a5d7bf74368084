import createClient from 'openapi-fetch';
import type { paths } from './generated/schema';
import { isAct, Once } from './once';

/** Something the server would not do; the message is its sentence for people. */
export class ApiProblem extends Error {
  constructor(
    readonly status: number,
    sentence: string,
    /** The path of the field that was wrong; empty when it is about the whole. */
    readonly field: string
  ) {
    super(sentence);
    this.name = 'ApiProblem';
  }
}

/** What every change must carry; another site cannot know it. */
export const guard = { header: '', token: '' };

/** Called when the server says that nobody is signed in. */
export const onSignedOut = { call: () => {} };

export const api = createClient<paths>({ baseUrl: '/' });

const once = new Once();
const acts = new Map<string, string>();

api.use({
  async onRequest({ request, id }) {
    if (request.method !== 'GET' && guard.header) {
      request.headers.set(guard.header, guard.token);
    }
    const path = new URL(request.url).pathname;
    if (isAct(request.method, path)) {
      const act = `${request.method} ${path} ${await request.clone().text()}`;
      acts.set(id, act);
      request.headers.set('Idempotency-Key', once.key(act));
    }
    return request;
  },
  onResponse({ id }) {
    over(id, true);
  },
  onError({ id }) {
    over(id, false);
  }
});

/** A call has ended: with an answer, or without one so that it may have been done or not. */
function over(id: string, answered: boolean) {
  const act = acts.get(id);
  acts.delete(id);
  if (act && answered) once.answered(act);
}

interface Reply<T> {
  data?: T;
  error?: unknown;
  response: Response;
}

/** The answer to a call, or an ApiProblem with a sentence. */
export async function answer<T>(call: Promise<Reply<T>>): Promise<T> {
  let reply: Reply<T>;
  try {
    reply = await call;
  } catch (lost) {
    if (lost instanceof DOMException && lost.name === 'AbortError') {
      throw lost;
    }
    throw new ApiProblem(0, 'Jemble cannot be reached. Nothing was changed; try again.', '');
  }
  if (reply.response.ok) {
    return reply.data as T;
  }
  if (reply.response.status === 401) {
    onSignedOut.call();
  }
  throw problem(reply.response.status, reply.error);
}

/** Sends what is not JSON, or gets what is not; throws an ApiProblem when the server would not. */
export async function send(
  path: string,
  type: string,
  body: BodyInit,
  signal?: AbortSignal
): Promise<Response> {
  const response = await fetch(path, {
    method: 'POST',
    headers: { 'Content-Type': type, [guard.header]: guard.token },
    body,
    signal
  });
  if (response.ok) return response;
  if (response.status === 401) onSignedOut.call();
  throw problem(response.status, await response.json().catch(() => null));
}

function problem(status: number, error: unknown): ApiProblem {
  const detail = (error ?? {}) as { detail?: string; field?: string };
  return new ApiProblem(status, detail.detail ?? sentence(status), detail.field ?? '');
}

function sentence(status: number): string {
  if (status === 401) return 'Please sign in first.';
  if (status === 403) return 'You may not do that. Sign in again, or ask an administrator.';
  return `Something went wrong at the server (${status}). Nothing was changed.`;
}
