import { expect, it } from 'vitest';
import { formWords } from './steps';

it('says how a file is written', () => {
  expect(formWords({ form: 'csv', encoding: 'windows-1252', delimiter: ';' })).toBe(
    'windows-1252, semicolons between cells'
  );
  expect(formWords({ form: 'vcard', encoding: 'UTF-8', delimiter: '' })).toBe('vCard');
});
