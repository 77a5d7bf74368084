/** How much more fits, or by how much it is too long. */
export function leftWords(left: number): string {
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
