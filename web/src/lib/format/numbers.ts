/** "1,126" */
export function count(n: number): string {
  return n.toLocaleString('en-GB');
}

/** "1 person", "1,126 people" */
export function people(n: number): string {
  return n === 1 ? '1 person' : `${count(n)} people`;
}

/** "1 message", "1,126 messages" */
export function messages(n: number): string {
  return n === 1 ? '1 message' : `${count(n)} messages`;
}

/** A share from 0 to 1 as "17.2%". */
export function percent(share: number): string {
  return `${(share * 100).toFixed(1)}%`;
}

/** Words to stand after a name: a blank before them, but not before ’s or a colon. */
export function afterName(words: string): string {
  return words.startsWith('’') || words.startsWith(':') ? words : ` ${words}`;
}

/** "Orla Finch" as "O. Finch" */
export function shortName(name: string): string {
  const [first = '', ...rest] = name.split(' ');
  return rest.length ? `${[...first][0] ?? ''}. ${rest.join(' ')}` : name;
}

/** A size in octets as "84 KB" or "1.2 MB"; what is less than a KB is told as one. */
export function octets(n: number): string {
  if (n === 0) return 'empty';
  return n < 1024 * 1024
    ? `${Math.max(1, Math.round(n / 1024))} KB`
    : `${(n / 1024 / 1024).toFixed(1)} MB`;
}

/** "£1.64", with as many places as the currency has. */
export function money(amount: number, currency: string): string {
  return new Intl.NumberFormat('en-GB', { style: 'currency', currency }).format(amount);
}
