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
export const guard = {
  header: '',
  token: '',
  /**
   * The same colleague has signed in anew in another window, and with that the token is another.
   * Takes it; answers whether it could: somebody else may have signed in there.
   */
  renew: async () => false
};

/** Said of a change whose token is that of a sign-in before. */
const OTHER_TOKEN = 'Jemble-Other-Token';

/** Asks once more with the new token where only the token was another. */
async function guarded(ask: () => Promise<Response>): Promise<Response> {
  const response = await ask();
  return response.headers.has(OTHER_TOKEN) && (await guard.renew()) ? ask() : response;
}

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
  return request.method === 'GET'
    ? fetch(request)
    : guarded(() => fetch(new Request(request.clone(), withPatience(request))));
}

function withPatience(request: Request): RequestInit {
  const headers = new Headers(request.headers);
  if (guard.header) headers.set(guard.header, guard.token);
  return {
    headers,
    signal: AbortSignal.any([request.signal, AbortSignal.timeout(PATIENCE)])
  };
}

export const api = createClient<paths>({ baseUrl: '/', fetch: patiently });

const once = new Once();
const acts = new Map<string, string>();

api.use({
  async onRequest({ request, id }) {
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
  if (reply.response.status === 401 && begun === signIns) onSignedOut.call();
  throw problem(reply.response, reply.error);
}

/** Without an answer nobody knows whether it was done. */
function unanswered(lost: unknown): string {
  return lost instanceof DOMException && lost.name === 'TimeoutError'
    ? 'Jemble did not answer within 15 seconds; it may have been done all the same.'
    : 'Jemble cannot be reached. Nothing was changed; try again.';
}

/** Sends what is not JSON, or gets what is not; throws an ApiProblem when the server would not. */
export async function send(
  path: string,
  type: string,
  body: BodyInit,
  signal?: AbortSignal
): Promise<Response> {
  const begun = signIns;
  const response = await guarded(() =>
    fetch(path, {
      method: 'POST',
      headers: { 'Content-Type': type, [guard.header]: guard.token },
      body,
      signal
    })
  ).catch((lost: unknown) => {
    throw new ApiProblem(0, unanswered(lost), '');
  });
  if (response.ok) return response;
  if (response.status === 401 && begun === signIns) onSignedOut.call();
  throw problem(response, await response.json().catch(() => null));
}

function problem(response: Response, error: unknown): ApiProblem {
  const detail = (error ?? {}) as { detail?: string; field?: string };
  return new ApiProblem(response.status, detail.detail ?? sentence(response), detail.field ?? '');
}

function sentence({ status, headers }: Response): string {
  if (status === 401) return 'You are not signed in any more. Nothing was changed.';
  if (headers.has(OTHER_TOKEN)) {
    return 'In another window, somebody else has signed in. Nothing was changed; copy what you typed, then load this page again.';
  }
  if (status === 403) return 'You may not do that. Sign in again, or ask an administrator.';
  return `Something went wrong at the server (${status}). Nothing was changed.`;
}
