/** Whether a day was before today, both as 2026-03-24. */
export function isLate(day: string, today: string): boolean {
  return day < today;
}

const DAY = 86_400_000;

/** "Today", "Mon" within the last week, "24 Mar" before that. */
export function dueWords(day: string, today: string): string {
  if (day === today) return 'Today';
  const date = new Date(`${day}T00:00:00Z`);
  const days = (Date.parse(`${today}T00:00:00Z`) - date.getTime()) / DAY;
  const form: Intl.DateTimeFormatOptions =
    days > 0 && days < 7 ? { weekday: 'short' } : { day: 'numeric', month: 'short' };
  return new Intl.DateTimeFormat('en-GB', { ...form, timeZone: 'UTC' }).format(date);
}
