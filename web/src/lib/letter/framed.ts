/** A message as readers in a dark room get it: what is said for the dark holds now. */
export function darkened(html: string): string {
  return html.replaceAll('@media (prefers-color-scheme: dark)', '@media all');
}

const BARS = '<style>html { scrollbar-width: thin; scrollbar-color: #7c8c4a transparent }</style>';

/** A message to be looked at here: its bars to scroll with are those of the house, and not its own. */
export function framed(html: string): string {
  return html.replace('<head>', `<head>${BARS}`);
}
