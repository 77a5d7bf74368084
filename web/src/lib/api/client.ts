import createClient from 'openapi-fetch';
import type { paths } from './generated/schema';

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

api.use({
  onRequest({ request }) {
    if (request.method !== 'GET' && guard.header) {
      request.headers.set(guard.header, guard.token);
    }
    return request;
  }
});

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
