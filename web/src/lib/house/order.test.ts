import { expect, it } from 'vitest';
import { movedUp, WordOrder } from './order.svelte';

const words = ['a', 'b', 'c'].map((name) => ({ name }));
const names = (shown: { name: string }[]) => shown.map((word) => word.name);

it('moves a word up by one', () => {
  expect(movedUp(['a', 'b', 'c'], 2)).toEqual(['a', 'c', 'b']);
});

it('shows each step at once, and tells the last one alone', async () => {
  const order = new WordOrder();
  const sent: string[][] = [];
  const send = async (wanted: string[]) => {
    sent.push(wanted);
  };
  void order.tell(movedUp(names(order.of(words)), 2), send);
  expect(names(order.of(words))).toEqual(['a', 'c', 'b']);
  await order.tell(movedUp(names(order.of(words)), 1), send);
  expect(sent).toEqual([['c', 'a', 'b']]);
  expect(names(order.of([...words, { name: 'd' }]))).toEqual(['a', 'b', 'c', 'd']);
});

it('shows what is there again when it was refused', async () => {
  const order = new WordOrder();
  const refuse = () => Promise.reject(new Error('changed in the meantime'));
  await expect(order.tell(['c', 'b', 'a'], refuse)).rejects.toThrow('meantime');
  expect(names(order.of(words))).toEqual(['a', 'b', 'c']);
});
