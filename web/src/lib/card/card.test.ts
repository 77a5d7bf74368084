import { describe, expect, it } from 'vitest';
import { byKey, fresh, moved, onPicture, piece, pictureOf, resized, withOneMore } from './card';

const words = piece('Hi', 0.3, '#000000');

describe('words on a card', () => {
  it('never leave the picture', () => {
    expect(moved(words, 1, 1)).toMatchObject({ left: 0.32, top: 0.8 });
    expect(moved(words, -1, -1)).toMatchObject({ left: 0, top: 0 });
    expect(resized(words, 5, 5)).toMatchObject({ width: 0.84, height: 0.7 });
    expect(resized(words, -5, -5)).toMatchObject({ width: 0.06, height: 0.06 });
  });
  it('are moved and made larger by arrows', () => {
    expect(byKey(words, 'ArrowRight', false)?.left).toBe(0.17);
    expect(byKey(words, 'ArrowDown', true)?.height).toBe(0.21);
    expect(byKey(words, 'Enter', false)).toBeUndefined();
  });
});

describe('pictures', () => {
  it('that ship are found by name, others by key', () => {
    expect(pictureOf({ picture: 'hills' })).toBe('/api/card-pictures/hills');
    expect(pictureOf({ picture: 'x9' })).toBe('/pictures/x9');
  });
  it('take untouched words along to their own place', () => {
    expect(onPicture(fresh('hills'), 'candles')).toEqual(fresh('candles'));
    const written = { picture: 'hills', words: [words] };
    expect(onPicture(written, 'candles')).toEqual({ picture: 'candles', words: [words] });
    const inItsColour = { picture: 'hills', words: [{ ...words, colour: '#384618' }] };
    expect(onPicture(inItsColour, 'candles').words[0]?.colour).toBe('#fff3cf');
  });
});

describe('one more text', () => {
  it('stands below the others, within the picture', () => {
    expect(withOneMore(fresh('hills')).words[1]?.top).toBeCloseTo(0.3);
    const low = { picture: 'hills', words: [{ ...words, top: 0.75, height: 0.25 }] };
    expect(withOneMore(low).words[1]?.top).toBe(0.8);
  });
});
