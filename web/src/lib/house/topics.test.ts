import { expect, test } from 'vitest';
import { topicItems } from './topics';

const topics = [
  { id: 1, name: 'News', retired: false },
  { id: 2, name: 'Courses', retired: true }
];

test('a topic that was given up is offered where it stands already', () => {
  expect(topicItems(topics, null).map((t) => t.value)).toEqual([1]);
  expect(topicItems(topics, 2).map((t) => t.value)).toEqual([1, 2]);
  expect(topicItems(undefined, 2)).toEqual([]);
});
