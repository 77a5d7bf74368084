/** Where to go after signing in: a screen of ours, never another site. */
export function backPath(asked: string | null): string {
  const safe = asked !== null && /^\/[a-z]/.test(asked) && !asked.startsWith('/sign-in');
  return safe ? asked : '/desk';
}
