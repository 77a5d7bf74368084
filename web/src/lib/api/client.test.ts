import { afterEach, describe, expect, it, vi } from 'vitest';
import { ApiProblem, answer, api, guard, onSignedOut, send, signedInAnew } from './client';

function reply(status: number, body: unknown) {
  const response = new Response(null, { status });
  return Promise.resolve(status < 400 ? { data: body, response } : { error: body, response });
}

afterEach(() => {
  onSignedOut.call = () => {};
  guard.header = '';
  guard.renew = async () => false;
});

describe('an answer', () => {
  it('is the data', async () => {
    expect(await answer(reply(200, { id: 7 }))).toEqual({ id: 7 });
  });
  it('or a problem with the server’s own sentence and field', async () => {
    const failed = answer(reply(422, { detail: 'Give the template a name.', field: 'name' }));
    await expect(failed).rejects.toMatchObject({
      status: 422,
      message: 'Give the template a name.',
      field: 'name'
    });
  });
  it('or a sentence of ours when the server gave none', async () => {
    await expect(answer(reply(500, undefined))).rejects.toThrow(/Nothing was changed/);
    await expect(answer(reply(403, {}))).rejects.toThrow(/You may not do that/);
  });
  it('says that nothing was changed when the server cannot be reached', async () => {
    const lost = answer(Promise.reject(new TypeError('fetch failed')));
    await expect(lost).rejects.toBeInstanceOf(ApiProblem);
    await expect(answer(Promise.reject(new TypeError('x')))).rejects.toMatchObject({ status: 0 });
  });
  it('lets a question that was called off go on as such', async () => {
    const abort = new DOMException('off', 'AbortError');
    await expect(answer(Promise.reject(abort))).rejects.toBe(abort);
  });
  it('tells the screens when nobody is signed in any more', async () => {
    const told = vi.fn();
    onSignedOut.call = told;
    await expect(answer(reply(401, undefined))).rejects.toThrow('You are not signed in any more.');
    expect(told).toHaveBeenCalledOnce();
  });
  it('says nothing of a question asked before somebody signed in on the spot', async () => {
    const told = vi.fn();
    onSignedOut.call = told;
    let refuse = () => {};
    const late = new Promise<void>((go) => (refuse = go)).then(() => reply(401, undefined));
    const asked = answer(late);
    signedInAnew();
    refuse();
    await expect(asked).rejects.toMatchObject({ status: 401 });
    expect(told).not.toHaveBeenCalled();
  });
});

describe('what is no JSON', () => {
  const answers = (status: number, body: string) =>
    vi.stubGlobal(
      'fetch',
      vi.fn(async () => new Response(body, { status }))
    );

  it('is sent with what every change must carry', async () => {
    answers(200, 'row');
    guard.header = 'X-Guard';
    guard.token = 'secret';
    const response = await send('/api/imports', 'application/octet-stream', 'a,b');
    expect(await response.text()).toBe('row');
    expect(fetch).toHaveBeenCalledWith(
      '/api/imports',
      expect.objectContaining({
        headers: { 'Content-Type': 'application/octet-stream', 'X-Guard': 'secret' }
      })
    );
  });
  it('is refused with the server’s own sentence, or with one of ours', async () => {
    answers(422, '{"detail": "The file is empty.", "field": "file"}');
    await expect(send('/x', 'text/csv', '')).rejects.toMatchObject({
      message: 'The file is empty.',
      field: 'file'
    });
    answers(502, '<html>');
    await expect(send('/x', 'text/csv', '')).rejects.toThrow(/Something went wrong at the server/);
  });
});

describe('a change whose token is that of a sign-in before', () => {
  /** The server of a house whose token is "new". */
  const house = vi.fn(async (asked: RequestInfo | URL, init?: RequestInit) => {
    const request = new Request(new URL(asked instanceof Request ? asked.url : asked, 'http://h'), {
      ...(asked instanceof Request ? { method: asked.method, body: await asked.text() } : init),
      headers: asked instanceof Request ? asked.headers : init?.headers
    });
    return request.headers.get('X-Guard') === 'new'
      ? Response.json({ got: await request.text() })
      : new Response(null, { status: 403, headers: { 'Jemble-Other-Token': 'yes' } });
  });
  const change = () =>
    answer(
      api.POST('/api/session', {
        baseUrl: 'http://h',
        body: { login: 'orla', password: 'typed', code: null }
      })
    );

  it('is sent once more, whole, with the new one', async () => {
    vi.stubGlobal('fetch', house);
    guard.header = 'X-Guard';
    guard.token = 'old';
    guard.renew = async () => {
      guard.token = 'new';
      return true;
    };
    expect(await change()).toMatchObject({ got: expect.stringContaining('typed') });
    guard.token = 'old';
    expect(await (await send('http://h/api/imports', 'text/csv', 'a,b')).json()).toEqual({
      got: 'a,b'
    });
    expect(house).toHaveBeenCalledTimes(4);
  });
  it('says that somebody else has signed in where it has none', async () => {
    vi.stubGlobal('fetch', house);
    guard.header = 'X-Guard';
    guard.token = 'old';
    await expect(change()).rejects.toThrow(/somebody else has signed in/);
    await expect(send('http://h/api/imports', 'text/csv', 'a')).rejects.toThrow(/somebody else/);
  });
});
