import { expect, test } from 'vitest';
import { unclear, writer } from './conversation';

test('who wrote is read from the header, the address where there is no name', () => {
  expect(writer('"Okonjo, Bea" <bea@okonjo.example>')).toBe('Okonjo, Bea');
  expect(writer('<bea@okonjo.example>')).toBe('bea@okonjo.example');
  expect(writer('bea@okonjo.example')).toBe('bea@okonjo.example');
});

test('what nobody has said yet is asked of the colleague', () => {
  const mail = {
    mailId: 1,
    channel: 'EMAIL' as const,
    kind: 'REPLIED' as const,
    from: 'Bea Okonjo <bea@home.example>',
    subject: 'Re: Hello',
    words: 'Yes.',
    quoted: '',
    authentication: '',
    unsure: false
  };
  expect(unclear(mail)).toBeNull();
  expect(unclear({ ...mail, unsure: true })).toContain('bea@home.example is not on record');
  expect(unclear({ ...mail, kind: null })).toContain('nobody but a person');
});
