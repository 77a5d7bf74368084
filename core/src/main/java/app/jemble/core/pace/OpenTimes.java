package app.jemble.core.pace;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.zone.ZoneOffsetTransition;
import java.time.zone.ZoneRules;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * When one clock is within hours: a cursor that only goes forward. Time is walked in stretches of
 * one offset, so that wall-clock times that are skipped never come and those that come twice count
 * twice (IANA rules as the JDK ships them). Seconds of the epoch.
 */
final class OpenTimes {

  /** Later than any instant that is planned. */
  static final long NEVER = Long.MAX_VALUE / 4;

  private static final int DAY = 86_400;

  /** Nobody plans so far ahead; hours that have not come till then never do. */
  private static final int MOST_DAYS = 3660;

  static final long MOST_SECONDS = (long) MOST_DAYS * DAY;

  private final ZoneRules rules;
  private final int[][][] week;
  private final Set<Long> daysOff;

  private long stretchFrom = 0;
  private long stretchTo = 0;
  private long offset;

  private long from = 0;
  private long to = 0;

  OpenTimes(ZoneId zone, WeeklyHours hours, Set<LocalDate> daysOff) {
    this.rules = zone.getRules();
    this.week = hours.seconds();
    this.daysOff = daysOff.stream().map(LocalDate::toEpochDay).collect(Collectors.toSet());
  }

  /** The first open instant at or after the given one, which is no earlier than the last asked. */
  long at(long asked) {
    if (asked >= to) {
      seek(asked);
    }
    return Math.max(asked, from);
  }

  private void seek(long asked) {
    long at = asked;
    for (int day = 0; day < MOST_DAYS; day++) {
      stretch(at);
      long local = at + offset;
      int second = Math.floorMod(local, DAY);
      int[] window = window(Math.floorDiv(local, (long) DAY), second);
      if (window == null) {
        at = Math.min(stretchTo, at + DAY - second);
      } else {
        long begin = at + Math.max(0, window[0] - second);
        if (begin < stretchTo) {
          from = begin;
          to = Math.min(stretchTo, at + window[1] - second);
          return;
        }
        at = stretchTo;
      }
    }
    from = NEVER;
    to = Long.MAX_VALUE;
  }

  /** The first window of a day that ends after a second of it; null when there is none. */
  private int[] window(long epochDay, int second) {
    if (!daysOff.isEmpty() && daysOff.contains(epochDay)) {
      return null;
    }
    // 1 January 1970 was a Thursday.
    for (int[] window : week[Math.floorMod(epochDay + 3, 7)]) {
      if (window[1] > second) {
        return window;
      }
    }
    return null;
  }

  private void stretch(long at) {
    if (at >= stretchFrom && at < stretchTo) {
      return;
    }
    Instant instant = Instant.ofEpochSecond(at);
    ZoneOffsetTransition next = rules.nextTransition(instant);
    offset = rules.getOffset(instant).getTotalSeconds();
    stretchFrom = at;
    stretchTo = next == null ? NEVER : next.toEpochSecond();
  }
}
