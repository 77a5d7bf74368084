/** How many characters a phone shows of a notice; core.notice.NoticeLimits decides. */
export const TITLE = 60;
export const WORDS = 180;

/** How much more fits, or by how much it is too long. */
export function leftWords(text: string, most: number): string {
  const left = most - [...text].length;
  return left < 0 ? `too long by ${-left}` : `${left} left`;
}

/** Where a link leads, as far as a phone has room for. */
export function linkHost(link: string): string {
  try {
    return new URL(link).host;
  } catch {
    return link;
  }
}
