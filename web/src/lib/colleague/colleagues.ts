import type { ColleagueName } from '$lib/api/types';
import { fold } from '$lib/format/fold';

export type RoleName = ColleagueName['role'];

/** What each role may do, in a few words. */
export const roles: { value: RoleName; name: string; may: string }[] = [
  { value: 'ADMINISTRATOR', name: 'Administrator', may: 'sets up the house and its colleagues' },
  { value: 'COORDINATOR', name: 'Coordinator', may: 'writes to many, keeps templates and series' },
  {
    value: 'REPRESENTATIVE',
    name: 'Representative',
    may: 'writes to people, keeps quotes and tasks'
  },
  { value: 'READER', name: 'Reader', may: 'looks, and changes nothing' }
];

export const roleName = (role: RoleName) => roles.find((r) => r.value === role)?.name ?? role;

/** A login that fits a name and that nobody has: "mara", else "mara.penrose", "mara.penrose2" … */
export function loginFor(name: string, taken: string[]): string {
  const words = fold(name)
    .split(/[^a-z0-9]+/)
    .filter(Boolean);
  const first = words[0]?.replace(/^[^a-z]+/, '') ?? '';
  if (!first) return '';
  const whole = [first, ...words.slice(1)].join('.').slice(0, 36);
  const free = (login: string) => !taken.includes(login);
  if (free(first)) return first;
  if (free(whole)) return whole;
  let n = 2;
  while (!free(`${whole}${n}`)) n++;
  return `${whole}${n}`;
}
