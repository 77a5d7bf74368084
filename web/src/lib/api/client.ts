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

let signIns = 0;

/** Somebody has signed in on the spot: that a question asked before was refused says nothing now. */
export function signedInAnew() {
  signIns++;
}

/** An act without an answer has failed after so many milliseconds; it may have been done all the same. */
const PATIENCE = 15_000;

/** Acts end without an answer some time; questions are ended by whoever asks. */
function patiently(request: Request): Promise<Response> {
  return fetch(request.method === 'GET' ? request : new Request(request, withPatience(request)));
}

function withPatience(request: Request): RequestInit {
  return { signal: AbortSignal.any([request.signal, AbortSignal.timeout(PATIENCE)]) };
}

export const api = createClient<paths>({ baseUrl: '/', fetch: patiently });

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
  const begun = signIns;
  let reply: Reply<T>;
  try {
    reply = await call;
  } catch (lost) {
    if (lost instanceof DOMException && lost.name === 'AbortError') {
      throw lost;
    }
    throw new ApiProblem(0, unanswered(lost), '');
  }
  if (reply.response.ok) {
    return reply.data as T;
  }
  const status = await meant(reply.response.status);
  if (status === 401 && begun === signIns) onSignedOut.call();
  throw problem(status, status === reply.response.status ? reply.error : null);
}

/** Without an answer nobody knows whether it was done. */
function unanswered(lost: unknown): string {
  return lost instanceof DOMException && lost.name === 'TimeoutError'
    ? 'Jemble did not answer within 15 seconds; it may have been done all the same.'
    : 'Jemble cannot be reached. Nothing was changed; try again.';
}

/** A session that is over is refused as if it might not do it; whether one is there tells both apart. */
async function meant(status: number): Promise<number> {
  if (status !== 403) return status;
  const session = await fetch('/api/session').catch(() => null);
  const known = session?.ok ? ((await session.json()) as { colleague: unknown }) : null;
  return known && known.colleague === null ? 401 : status;
}

/** Sends what is not JSON, or gets what is not; throws an ApiProblem when the server would not. */
export async function send(
  path: string,
  type: string,
  body: BodyInit,
  signal?: AbortSignal
): Promise<Response> {
  const begun = signIns;
  const response = await fetch(path, {
    method: 'POST',
    headers: { 'Content-Type': type, [guard.header]: guard.token },
    body,
    signal
  }).catch((lost: unknown) => {
    throw new ApiProblem(0, unanswered(lost), '');
  });
  if (response.ok) return response;
  const status = await meant(response.status);
  if (status === 401 && begun === signIns) onSignedOut.call();
  throw problem(status, await response.json().catch(() => null));
}

function problem(status: number, error: unknown): ApiProblem {
  const detail = (error ?? {}) as { detail?: string; field?: string };
  return new ApiProblem(status, detail.detail ?? sentence(status), detail.field ?? '');
}

function sentence(status: number): string {
  if (status === 401) return 'You are not signed in any more. Nothing was changed.';
  if (status === 403) return 'You may not do that. Sign in again, or ask an administrator.';
  return `Something went wrong at the server (${status}). Nothing was changed.`;
}
