import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join, normalize, relative } from 'node:path';
import { expect, it } from 'vitest';

const LIB = join(import.meta.dirname, 'lib');
/** What a newcomer can keep in mind; a component of more is parted (common practice). */
const MOST_FILES = 30;
const MOST_LINES = 220;

const files = readdirSync(LIB, { recursive: true, encoding: 'utf8' })
  .filter((f) => /\.(ts|svelte)$/.test(f) && !f.includes('generated'))
  .map((f) => f.replaceAll('\\', '/'));
const text = (file: string) => readFileSync(join(LIB, file), 'utf8');

/** The rooms that each room leans on, with how many of its files do. */
function leaning() {
  const rooms = new Map<string, Map<string, number>>();
  for (const file of files) {
    const room = dirname(file);
    const on = rooms.get(room) ?? new Map<string, number>();
    rooms.set(room, on);
    const others = new Set(
      [...text(file).matchAll(/(?:from|import|import\()\s*'(\$lib\/|\.{1,2}\/)([^']+)'/g)]
        .map(([, root = '', path = '']) =>
          dirname(root === '$lib/' ? path : relative(LIB, normalize(join(LIB, room, root + path))))
        )
        .map((other) => (other.startsWith('api/') ? 'api' : other))
        .filter((other) => other !== room)
    );
    others.forEach((other) => on.set(other, (on.get(other) ?? 0) + 1));
  }
  return rooms;
}

/** A way from a room back to itself, or nothing. */
function circle(rooms: Map<string, Map<string, number>>, from: string) {
  const seen = new Set<string>();
  const ways = [{ way: [from], at: from }];
  for (let one = ways.pop(); one; one = ways.pop()) {
    for (const next of rooms.get(one.at)?.keys() ?? []) {
      if (next === from) return [...one.way, from];
      if (!seen.has(next)) {
        seen.add(next);
        ways.push({ way: [...one.way, next], at: next });
      }
    }
  }
}

it('no rooms stand in a circle', () => {
  const rooms = leaning();
  expect([...rooms.keys()].map((r) => circle(rooms, r)).filter(Boolean)).toEqual([]);
});

function grouped() {
  const rooms = new Map<string, string[]>();
  for (const file of files) rooms.set(dirname(file), [...(rooms.get(dirname(file)) ?? []), file]);
  return rooms;
}

it('no room is crowded, no component is long', () => {
  for (const [room, its] of grouped()) expect(its.length, room).toBeLessThanOrEqual(MOST_FILES);
  for (const file of files)
    expect(text(file).split('\n').length, file).toBeLessThanOrEqual(MOST_LINES);
});

it('the rooms are printed', () => {
  const rooms = leaning();
  const lines = [...rooms].sort().map(
    ([room, on]) =>
      `  ${room}: ${[...on]
        .sort()
        .map(([other, n]) => `${other} ${n}`)
        .join(', ')}`
  );
  mkdirSync('target', { recursive: true });
  writeFileSync(
    'target/rooms.txt',
    `Rooms of the web, and the rooms they lean on (files that do)\n${lines.join('\n')}\n`
  );
  expect(lines.length).toBeGreaterThan(25);
});
