package app.jemble.core.filter;

import app.jemble.core.record.PersonId;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Objects;

/**
 * The instant and the workspace's zone as of which a filter is answered (what "today" is), and who
 * asks (whom "me" means).
 *
 * @param now the instant of asking
 * @param zone the workspace's zone
 * @param login the colleague who asks, by login; null when nobody does
 * @param person the colleague's own record among the people; null when there is none
 */
public record AsOf(Instant now, ZoneId zone, String login, PersonId person) {
  public AsOf {
    Objects.requireNonNull(now);
    Objects.requireNonNull(zone);
  }

  /** Asked by nobody in particular. */
  public AsOf(Instant now, ZoneId zone) {
    this(now, zone, null, null);
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
