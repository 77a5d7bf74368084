/** A body as words alone, a line for each paragraph; merge fields as they are written. */
export function wordsOf(body: string): string {
  const lines = body.replace(/<br\s*\/?>|<\/(?:p|h1|h2|h3|li|tr|blockquote)>/g, '$&\n');
  const page = new DOMParser().parseFromString(lines, 'text/html');
  return (page.body.textContent ?? '').replace(/\n{2,}/g, '\n').trim();
}
