import { focusHeading } from './focusHeading';

/** What can be read aloud as a place: the focus goes there when what had it is gone. */
const PLACES = 'section, [role="region"], dialog, [role="dialog"], form';

/**
 * The focus never falls to the page: when what had it is taken away (a dialog, a button that did
 * its work), the nearest place around it that is still there has it, or else the heading.
 */
export function keepFocus(): () => void {
  let around: HTMLElement[] = [];

  function remember(event: FocusEvent) {
    around = [];
    for (let at = event.target as HTMLElement | null; at; at = at.parentElement) around.push(at);
  }

  /** What was taken away may itself say what has the focus next; else it is found here. */
  function catchFallen() {
    const fallen = around[0] && !around[0].isConnected;
    if (!fallen || document.activeElement !== document.body) return;
    const place = around.find((element) => element.isConnected && element.matches(PLACES));
    around = [];
    if (place) focusPlace(place);
    else void focusHeading();
  }

  const removed = new MutationObserver(() => setTimeout(catchFallen));

  addEventListener('focusin', remember);
  removed.observe(document.body, { childList: true, subtree: true });
  return () => {
    removeEventListener('focusin', remember);
    removed.disconnect();
  };
}

function focusPlace(place: HTMLElement) {
  if (!place.hasAttribute('tabindex')) place.tabIndex = -1;
  place.focus({ preventScroll: true });
}
