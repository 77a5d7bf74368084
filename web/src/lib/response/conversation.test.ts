import type { ConversationStep } from '$lib/api/types';
import { expect, test } from 'vitest';
import { toAnswer, writer } from './conversation';

function theirs(mailId: number, kind: 'REPLIED' | 'AUTO_REPLIED'): ConversationStep {
  return {
    at: '2027-03-24T09:00:00Z',
    ours: null,
    theirs: { mailId, kind, from: 'Bea', subject: 'Re: Hello', words: 'Yes', quoted: '' },
    sign: null
  };
}

test('what a person wrote last is answered, not what software wrote after it', () => {
  expect(toAnswer([theirs(1, 'REPLIED'), theirs(2, 'REPLIED'), theirs(3, 'AUTO_REPLIED')])).toEqual(
    theirs(2, 'REPLIED').theirs
  );
  expect(toAnswer([theirs(3, 'AUTO_REPLIED')])?.mailId).toBe(3);
  expect(toAnswer([])).toBeNull();
});

test('who wrote is read from the header, the address where there is no name', () => {
  expect(writer('"Okonjo, Bea" <bea@okonjo.example>')).toBe('Okonjo, Bea');
  expect(writer('<bea@okonjo.example>')).toBe('bea@okonjo.example');
  expect(writer('bea@okonjo.example')).toBe('bea@okonjo.example');
});
