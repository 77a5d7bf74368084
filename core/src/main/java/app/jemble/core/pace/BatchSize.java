package app.jemble.core.pace;

import java.time.Duration;

/**
 * How many messages a worker begins at once: as many as leave in a quarter of a second, so that
 * withdrawing and pausing take hold at once and the database is asked seldom.
 */
public final class BatchSize {

  private static final int FIRST = 4;
  private static final double WANTED_SECONDS = 0.25;

  private final int most;
  private int next;

  /**
   * @param most never more than this, 1 or more
   */
  public BatchSize(int most) {
    this.most = most;
    this.next = Math.min(FIRST, most);
  }

  public int next() {
    return next;
  }

  /** None could leave: the next attempt is made with one. */
  public void failed() {
    next = 1;
  }

  /** So many took so long; the next batch is at most twice as large. */
  public void took(int messages, Duration time) {
    double seconds = Math.max(1e-4, time.toNanos() / 1e9);
    double fitting = messages * WANTED_SECONDS / seconds;
    next = (int) Math.max(1, Math.min(most, Math.min(next * 2.0, fitting)));
  }
}
