/** Nothing was fetched for so many milliseconds. */
const QUIET = 300;

/** It is not put off for longer, whatever goes on. */
const LATEST = 2000;

const STEP = 50;

/**
 * Does what can wait once what a screen shows first is there: when nothing has been fetched for a
 * moment. Answers what gives it up.
 */
export function whenQuiet(isBusy: () => boolean, then: () => void): () => void {
  let quiet = 0;
  let waited = 0;
  const timer = setInterval(() => {
    waited += STEP;
    quiet = isBusy() ? 0 : quiet + STEP;
    if (quiet < QUIET && waited < LATEST) return;
    clearInterval(timer);
    then();
  }, STEP);
  return () => clearInterval(timer);
}
