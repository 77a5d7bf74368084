package app.jemble.core.filter;

import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.PersonId;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Objects;

/**
 * The instant and the workspace's zone as of which a filter is answered (what "today" is), and who
 * asks (whom "me" means).
 *
 * @param now the instant of asking
 * @param zone the workspace's zone
 * @param weekStart on which its weeks begin
 * @param login the colleague who asks, by login; null when nobody does
 * @param person the colleague's own record among the people; null when there is none
 * @param ownPeople whether that colleague sees the people alone whom they own
 */
public record AsOf(
    Instant now,
    ZoneId zone,
    DayOfWeek weekStart,
    String login,
    PersonId person,
    boolean ownPeople) {

  private static final Filter OWNED_BY_ME =
      new Filter.Condition(
          FieldCatalogue.standard().find("owner").orElseThrow(),
          Operator.IS_ME,
          new Operand.None());

  public AsOf {
    Objects.requireNonNull(now);
    Objects.requireNonNull(zone);
    Objects.requireNonNull(weekStart);
  }

  /** Asked by nobody in particular. */
  public AsOf(Instant now, ZoneId zone) {
    this(now, zone, DayOfWeek.MONDAY, null, null, false);
  }

  /** What is asked of people, of those alone whom the one who asks sees. */
  public Filter.Group ofThose(Filter.Group filter) {
    return ownPeople ? new Filter.Group(Filter.Match.ALL, List.of(OWNED_BY_ME, filter)) : filter;
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
