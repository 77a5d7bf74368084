import { afterEach, describe, expect, it, vi } from 'vitest';
import { ApiProblem, answer, guard, onSignedOut, send, signedInAnew } from './client';

function reply(status: number, body: unknown) {
  const response = new Response(null, { status });
  return Promise.resolve(status < 400 ? { data: body, response } : { error: body, response });
}

afterEach(() => {
  onSignedOut.call = () => {};
  guard.header = '';
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
