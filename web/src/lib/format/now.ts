/** The house's clock: the server's, which may run faster than the machine's, and knows the time. */
let shown = Date.now();
let read = Date.now();
let speed = 1;

/** Follows the clock that showed this instant just now; one that runs faster gains by its speed. */
export function follow(instant: string, itsSpeed: number) {
  shown = Date.parse(instant);
  read = Date.now();
  speed = itsSpeed;
}

export function now(): Date {
  return new Date(shown + (Date.now() - read) * speed);
}
