package app.jemble.carrier.text;

import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;

/** Lets so many parts leave in a second, one after another. For several threads. */
final class TextPace {

  private final long between;
  private long next = System.nanoTime();

  TextPace(int perSecond) {
    this.between = TimeUnit.SECONDS.toNanos(1) / perSecond;
  }

  void waitForTurn() {
    long wait = turn() - System.nanoTime();
    if (wait > 0) {
      LockSupport.parkNanos(wait);
    }
  }

  private synchronized long turn() {
    long now = System.nanoTime();
    long mine = Math.max(now, next);
    next = mine + between;
    return mine;
  }
}
