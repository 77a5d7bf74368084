import { now } from '$lib/format/now';

/** A clock that ticks once a second while somebody looks at it. */
class Held {
  now = $state(now().getTime());

  constructor() {
    setInterval(() => (this.now = now().getTime()), 1000);
  }

  /** Whole seconds until an instant, 0 when it has passed. */
  secondsUntil(instant: string | null): number {
    return instant ? Math.max(0, Math.ceil((Date.parse(instant) - this.now) / 1000)) : 0;
  }
}

export const held = new Held();
