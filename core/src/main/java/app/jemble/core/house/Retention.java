package app.jemble.core.house;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZonedDateTime;
import java.util.Map;

/**
 * How long what is held of people is kept, in months. What is older goes in a night that is said
 * before: never sooner than {@link #SAID_BEFORE} after it was said.
 *
 * @param months by what it is; what is not in it is kept for good
 */
public record Retention(Map<Kept, Integer> months) {

  /** Common practice: a working day to have a look, and to change it. */
  public static final Duration SAID_BEFORE = Duration.ofHours(20);

  public static final int LEAST = 1;
  public static final int MOST = 600;

  private static final LocalTime AT_NIGHT = LocalTime.of(3, 0);

  /**
   * @throws IllegalArgumentException when something is kept for fewer than {@value #LEAST} or more
   *     than {@value #MOST} months
   */
  public Retention {
    months = Map.copyOf(months);
    if (months.values().stream().anyMatch(m -> m < LEAST || m > MOST)) {
      throw new IllegalArgumentException("months between " + LEAST + " and " + MOST);
    }
  }

  public boolean isForGood() {
    return months.isEmpty();
  }

  /**
   * When something goes that is said now.
   *
   * @param now in the house's zone
   */
  public static ZonedDateTime nightAfter(ZonedDateTime now) {
    ZonedDateTime earliest = now.plus(SAID_BEFORE);
    ZonedDateTime night = earliest.with(AT_NIGHT);
    return night.isBefore(earliest) ? earliest.plusDays(1).with(AT_NIGHT) : night;
  }

  /**
   * What is from before this instant goes; null when it is kept for good.
   *
   * @param night when it goes, in the house's zone
   */
  public Instant before(Kept what, ZonedDateTime night) {
    Integer kept = months.get(what);
    return kept == null ? null : night.minusMonths(kept).toInstant();
  }
}
