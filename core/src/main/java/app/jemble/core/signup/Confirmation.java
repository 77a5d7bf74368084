package app.jemble.core.signup;

import java.time.Duration;
import java.time.Instant;

/**
 * How the confirmation of a sign-up stands.
 *
 * @param askedAt when somebody asked to be written to
 * @param confirmedAt when its reader pressed the button, or null
 */
public record Confirmation(Instant askedAt, Instant confirmedAt) {

  /** For how long a link is good. */
  public static final Duration GOOD_FOR = Duration.ofDays(7);

  /** An address gets one confirmation mail in this time, whoever asks for more. */
  public static final Duration QUIET = Duration.ofHours(1);

  /** What the link in the mail does. */
  public enum Standing {
    /** its page has the button */
    WAITS,
    /** it was pressed before; once is enough */
    CONFIRMED,
    /** it came too late */
    OVER
  }

  public Standing at(Instant now) {
    if (confirmedAt != null) {
      return Standing.CONFIRMED;
    }
    return now.isBefore(askedAt.plus(GOOD_FOR)) ? Standing.WAITS : Standing.OVER;
  }
}
