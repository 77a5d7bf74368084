import { describe, expect, test } from 'vitest';
import { soughtIn } from './sought';

const ask = (question: string) => soughtIn(new URLSearchParams(question));

describe('who is looked for', () => {
  test('nobody in particular', () => {
    expect(ask('part=OPENED')).toEqual({ words: '', query: {}, withPart: false });
  });

  test('those who did something', () => {
    expect(ask('did=CLICKED')).toMatchObject({
      words: 'Followed a link',
      query: { did: 'CLICKED' }
    });
    expect(ask('did=nonsense').words).toBe('');
    expect(ask('link=https%3A%2F%2Fa.example%2Fb')).toMatchObject({
      words: 'Followed a.example/b',
      query: { link: 'https://a.example/b' }
    });
  });

  test('those of a group, and of a part of it', () => {
    expect(ask('by=TAG&value=crew')).toEqual({
      words: 'Of the tag crew',
      query: { by: 'TAG', value: 'crew' },
      withPart: false
    });
    expect(ask('by=PLAN&value=Sail&also=READ')).toEqual({
      words: 'Of the plan Sail, read by a person',
      query: { by: 'PLAN', value: 'Sail' },
      standings: ['OPENED', 'CLICKED', 'REPLIED'],
      withPart: false
    });
    expect(ask('by=PLAN&value=Sail&also=DELIVERED').standings).not.toContain('RETURNED');
    expect(ask('by=OWNER&value=&part=REPLIED')).toEqual({
      words: 'Without an owner',
      query: { by: 'OWNER', value: '' },
      withPart: true
    });
  });
});
