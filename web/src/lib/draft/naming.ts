/** What a mailing is called that nobody has named, and that has no subject yet. */
const UNNAMED = 'New mailing';

const LONGEST = 80;

/** The name that a subject gives a mailing: without merge fields and what they leave dangling. */
export function namedBy(subject: string): string {
  const plain = subject
    .replace(/\{\{.*?\}\}/g, ' ')
    .replace(/\s+/g, ' ')
    .replace(/\s+([,.;:!?])/g, '$1')
    .replace(/^[\s,.;:!?–-]+|[\s,;:–-]+$/g, '');
  if (!plain) return UNNAMED;
  if (plain.length <= LONGEST) return plain;
  return `${plain.slice(0, LONGEST).replace(/\s\S*$/, '')} …`;
}

/** Whether a mailing is still called by its subject, so that its name follows it. */
export function isNamedBy(subject: string, name: string): boolean {
  return name.trim() === '' || name === UNNAMED || name === namedBy(subject);
}
