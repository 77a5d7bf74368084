package app.jemble.core.filter;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Objects;

/**
 * The instant and the workspace's zone as of which a filter is answered: what "today" is.
 *
 * @param now the instant of asking
 * @param zone the workspace's zone
 */
public record AsOf(Instant now, ZoneId zone) {
  public AsOf {
    Objects.requireNonNull(now);
    Objects.requireNonNull(zone);
  }

  public LocalDate today() {
    return dayOf(now);
  }

  public LocalDate dayOf(Instant instant) {
    return instant.atZone(zone).toLocalDate();
  }

  /** The first instant of a day in the workspace's zone. */
  public Instant startOf(LocalDate day) {
    return day.atStartOfDay(zone).toInstant();
  }
}
