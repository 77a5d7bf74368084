package app.jemble.core.pace;

import java.time.Duration;
import java.time.Instant;

/**
 * When a released mailing may begin to leave.
 *
 * @param heldUntil until then it can be taken back as if never released
 * @param due when its messages are due
 */
public record Departure(Instant heldUntil, Instant due) {

  /**
   * @param start the start that was asked for, or null for at once
   * @param now the instant of release
   * @param hold how long a release is held
   */
  public static Departure of(Instant start, Instant now, Duration hold) {
    Instant heldUntil = now.plus(hold);
    return new Departure(heldUntil, start == null || start.isBefore(heldUntil) ? heldUntil : start);
  }
}
