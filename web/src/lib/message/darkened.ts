/** A message as readers in a dark room get it: what is said for the dark holds now. */
export function darkened(html: string): string {
  return html.replaceAll('@media (prefers-color-scheme: dark)', '@media all');
}
