import { expect, it, vi } from 'vitest';
import { ApiProblem } from '$lib/api/client';
import { notices } from './notices.svelte';
import { Sending } from './sending.svelte';

const event = () => ({ preventDefault: vi.fn() }) as unknown as SubmitEvent;

it('says what is wrong at the field, and forgets it when it is sent again', async () => {
  const sending = new Sending();
  await sending.send(event(), () => Promise.reject(new ApiProblem(422, 'No name.', 'name')));
  expect(sending.of('name')).toBe('No name.');
  expect(sending.of('email')).toBe('');
  await sending.send(event(), () => Promise.resolve());
  expect(sending.of('name')).toBe('');
});

it('says what is of no field as a notice', async () => {
  const fail = vi.spyOn(notices, 'fail').mockImplementation(() => {});
  const sending = new Sending();
  await sending.send(event(), () => Promise.reject(new ApiProblem(409, 'Too late.', '')));
  expect(fail).toHaveBeenCalledOnce();
  expect(sending.wrong).toBeNull();
});

it('is sent once however often it is pressed', async () => {
  const sending = new Sending();
  const work = vi.fn(() => new Promise<void>((done) => setTimeout(done)));
  await Promise.all([sending.send(event(), work), sending.send(event(), work)]);
  expect(work).toHaveBeenCalledOnce();
  expect(sending.busy).toBe(false);
});
