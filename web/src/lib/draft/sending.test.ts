import { describe, expect, it } from 'vitest';
import { countingWords, voiceWords } from './sending';

const usual = {
  voice: 'SENDER',
  repliesTo: 'SENDER',
  countOpens: true,
  countClicks: true
} as const;

describe('how a mailing is sent, in words', () => {
  it('says one name once', () => {
    expect(voiceWords(usual)).toBe('From you, who gets the replies');
    expect(voiceWords({ ...usual, voice: 'OWNER' })).toBe(
      'From each person’s owner · replies to you'
    );
  });
  it('says what is counted', () => {
    expect(countingWords(usual)).toBe('Opens and clicks are counted');
    expect(countingWords({ ...usual, countOpens: false })).toBe('Clicks are counted');
    expect(countingWords({ ...usual, countOpens: false, countClicks: false })).toBe(
      'Nothing is counted'
    );
  });
});
