// @vitest-environment happy-dom
import { afterEach, describe, expect, it } from 'vitest';
import { Typed } from './typed.svelte';

afterEach(() => localStorage.clear());

const form = (subject = 'As it was') => new Typed('step.1', { subject });
const shown = (typed: Typed<{ subject: string }>) => [typed.value.subject, typed.fromBefore];

function write() {
  const typed = form();
  typed.value.subject = 'Mine';
  typed.keep();
  return typed;
}

describe('what is typed into a form', () => {
  it('is there when it is opened again', () => {
    expect(shown(form())).toEqual(['As it was', false]);
    write();
    expect(shown(form())).toEqual(['Mine', true]);
  });
  it('is not put over what somebody saved since', () => {
    write();
    expect(shown(form('Theirs'))).toEqual(['Theirs', false]);
  });
  it('is gone once it is begun anew', () => {
    const typed = write();
    typed.anew();
    typed.keep();
    expect(shown(typed)).toEqual(['As it was', false]);
    expect(shown(form())).toEqual(['As it was', false]);
  });
  it('is gone once it is saved', () => {
    const typed = write();
    typed.saved(typed.value);
    typed.keep();
    expect(shown(form())).toEqual(['As it was', false]);
    expect(shown(form('Mine'))).toEqual(['Mine', false]);
  });
});
