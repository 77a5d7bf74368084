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

  /** What had the focus and lost it while it could not be used, as a button does while it works. */
  let resting: HTMLElement | null = null;

  /** What was taken away may itself say what has the focus next; else it is found here. */
  function catchFallen() {
    const last = around[0];
    // A browser lets go of what is disabled a moment later, or not at all if it is soon in use again.
    if (last?.matches(':disabled')) resting = last;
    if (document.activeElement !== document.body) return;
    if (last && !last.isConnected) {
      const place = around.find((element) => element.isConnected && element.matches(PLACES));
      around = [];
      if (place) focusPlace(place);
      else void focusHeading();
    } else if (resting && resting === last && !last.matches(':disabled')) {
      resting = null;
      last.focus({ preventScroll: true });
    }
  }

  const removed = new MutationObserver(() => setTimeout(catchFallen));

  addEventListener('focusin', remember);
  const changes = {
    childList: true,
    subtree: true,
    attributes: true,
    attributeFilter: ['disabled']
  };
  removed.observe(document.body, changes);
  return () => {
    removeEventListener('focusin', remember);
    removed.disconnect();
  };
}

function focusPlace(place: HTMLElement) {
  if (!place.hasAttribute('tabindex')) place.tabIndex = -1;
  place.focus({ preventScroll: true });
}
