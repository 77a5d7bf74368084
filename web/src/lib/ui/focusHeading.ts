import { tick } from 'svelte';

/** The focus goes to the heading of the page that has come; nothing is there to be used by mistake. */
export async function focusHeading() {
  await tick();
  if (document.activeElement !== document.body) return;
  const heading = document.querySelector<HTMLElement>('main h1, main [data-heading]');
  if (!heading || document.querySelector('dialog[open]')) return;
  heading.tabIndex = -1;
  heading.focus({ preventScroll: true });
}
