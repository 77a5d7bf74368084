package app.jemble.core.pace;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * When a message that the mail server put off (4xx) is tried again: after 1, 5, 15 and 60 minutes,
 * then every 4 hours, for 2 days from the first try (as RFC 5321 section 4.5.4.1 advises: 30
 * minutes or more on the whole, give up after days, first tries sooner).
 */
public final class Retry {

  private static final List<Duration> FIRST =
      List.of(
          Duration.ofMinutes(1),
          Duration.ofMinutes(5),
          Duration.ofMinutes(15),
          Duration.ofHours(1));
  private static final Duration LATER = Duration.ofHours(4);
  private static final Duration GIVE_UP = Duration.ofDays(2);

  private Retry() {}

  /**
   * The next try, or empty when it is time to give up.
   *
   * @param tries how many tries were made, at least 1
   * @param firstTry when the first was made
   * @param now the instant of the last
   */
  public static Optional<Instant> next(int tries, Instant firstTry, Instant now) {
    Duration wait = tries <= FIRST.size() ? FIRST.get(tries - 1) : LATER;
    Instant next = now.plus(wait);
    return next.isAfter(firstTry.plus(GIVE_UP)) ? Optional.empty() : Optional.of(next);
  }
}
