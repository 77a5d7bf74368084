import type { CardBody, PlacedWords } from '$lib/api/types';
import { pathOf } from '$lib/picture/pictures';

/** The pictures that ship, and where words stand well on each. */
export const SHIPPED: Record<string, { name: string; top: number; colour: string }> = {
  pennants: { name: 'Pennants', top: 0.36, colour: '#24271f' },
  hills: { name: 'Hills at sunrise', top: 0.1, colour: '#384618' },
  leaves: { name: 'Garland of leaves', top: 0.36, colour: '#33491f' },
  candles: { name: 'Candles', top: 0.1, colour: '#fff3cf' },
  boats: { name: 'Paper boats', top: 0.2, colour: '#2f5d62' },
  lanterns: { name: 'Lanterns', top: 0.32, colour: '#f4f1e8' }
};

/** Where a picture is found: one that ships by its name, one of the house by its key. */
export function pictureOf(card: Pick<CardBody, 'picture'>): string {
  return card.picture in SHIPPED ? `/api/card-pictures/${card.picture}` : pathOf(card.picture);
}

/** A card to begin with, greeting by name. */
export function fresh(picture: string): CardBody {
  const looks = SHIPPED[picture] ?? { top: 0.35, colour: '#24271f' };
  return {
    picture,
    words: [piece('Dear {{first_name or "friend"}}', looks.top, looks.colour)]
  };
}

export function piece(text: string, top: number, colour: string): PlacedWords {
  return { text, left: 0.16, top, width: 0.68, height: 0.2, size: 72, colour, align: 'CENTRE' };
}

/**
 * Another picture below the same words; those that were never changed take its place, and those in
 * the colour of the picture before take its colour.
 */
export function onPicture(card: CardBody, picture: string): CardBody {
  const untouched = JSON.stringify(card.words) === JSON.stringify(fresh(card.picture).words);
  if (untouched) return fresh(picture);
  const before = SHIPPED[card.picture]?.colour;
  const now = SHIPPED[picture]?.colour;
  const words = card.words.map((w) => (now && w.colour === before ? { ...w, colour: now } : w));
  return { picture, words };
}

/** One more text, below those there are as far as there is room. */
export function withOneMore(card: CardBody): CardBody {
  const looks = SHIPPED[card.picture] ?? { top: 0.35, colour: '#24271f' };
  const below = Math.max(looks.top, ...card.words.map((w) => w.top + w.height));
  const added = piece('{{years}} years', Math.min(below, 0.8), looks.colour);
  return { ...card, words: [...card.words, { ...added, size: 48, height: 0.14 }] };
}

const LEAST = 0.06;
const within = (value: number, least: number, most: number) =>
  Math.round(Math.max(least, Math.min(most, value)) * 1000) / 1000;

/** Moved by shares of the picture, and never beyond its edge. */
export function moved(words: PlacedWords, dx: number, dy: number): PlacedWords {
  return {
    ...words,
    left: within(words.left + dx, 0, 1 - words.width),
    top: within(words.top + dy, 0, 1 - words.height)
  };
}

/** Made wider or higher by shares of the picture, up to its edge. */
export function resized(words: PlacedWords, dw: number, dh: number): PlacedWords {
  return {
    ...words,
    width: within(words.width + dw, LEAST, 1 - words.left),
    height: within(words.height + dh, LEAST, 1 - words.top)
  };
}

/** What an arrow does: it moves, with Shift it makes larger or smaller. */
export function byKey(words: PlacedWords, key: string, shift: boolean): PlacedWords | undefined {
  const steps: Record<string, [number, number]> = {
    ArrowLeft: [-0.01, 0],
    ArrowRight: [0.01, 0],
    ArrowUp: [0, -0.01],
    ArrowDown: [0, 0.01]
  };
  const step = steps[key];
  if (!step) return undefined;
  return shift ? resized(words, ...step) : moved(words, ...step);
}
