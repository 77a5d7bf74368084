import { describe, expect, it } from 'vitest';
import { isAddress } from './createEditor';

describe('what may stand in a link', () => {
  it('is what the server lets through', () => {
    for (const address of [
      'https://ternquay.example/news',
      'HTTP://ternquay.example',
      'mailto:orla@ternquay.example',
      'tel:+447700900142',
      '{{website}}'
    ]) {
      expect(isAddress(address), address).toBe(true);
    }
  });
  it('never runs anything', () => {
    for (const address of [
      'javascript:alert(1)',
      ' javascript:alert(1)',
      'data:text/html,x',
      'vbscript:x',
      '//elsewhere.example',
      '/path',
      ''
    ]) {
      expect(isAddress(address), address).toBe(false);
    }
  });
});
