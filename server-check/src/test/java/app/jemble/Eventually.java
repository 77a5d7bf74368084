package app.jemble;

import java.time.Duration;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;

/** Waiting for what another thread does, with a limit. */
public final class Eventually {

  private static final Duration LIMIT = Duration.ofSeconds(30);

  private Eventually() {}

  /** A check that throws while it does not hold yet. */
  public interface Check {
    void run() throws Exception;
  }

  /** Repeats a check until it holds; what it threw last is thrown when the limit is over. */
  public static void holds(Check check) {
    within(LIMIT, check);
  }

  /** For what takes a busy machine longer, as a start of the whole. */
  public static void within(Duration limit, Check check) {
    long end = System.nanoTime() + limit.toNanos();
    while (true) {
      try {
        check.run();
        return;
      } catch (AssertionError | Exception notYet) {
        if (System.nanoTime() > end) {
          throw new AssertionError("not within " + limit + ": " + notYet.getMessage(), notYet);
        }
        LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(40));
      }
    }
  }
}
