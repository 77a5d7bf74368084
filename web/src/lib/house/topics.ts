/** Topics to choose from: those that are given, and the one that stands there already. */
export function topicItems(
  topics: { id: number; name: string; retired: boolean }[] | undefined,
  current: number | null
): { value: number; name: string }[] {
  return (topics ?? [])
    .filter((topic) => !topic.retired || topic.id === current)
    .map((topic) => ({ value: topic.id, name: topic.name }));
}
