/** Nine o'clock on the next day, as a wall-clock time: when most people who write want it. */
export function tomorrowAtNine(zone: string, now = new Date()): string {
  const tomorrow = new Date(now.getTime() + 86_400_000);
  return `${new Intl.DateTimeFormat('sv-SE', { timeZone: zone }).format(tomorrow)}T09:00:00`;
}
