package app.jemble.core.series;

import app.jemble.core.pace.WeeklyHours;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Set;

/**
 * When a step is due, minute by minute with java.time alone: the wall is looked at each minute
 * until it shows what is waited for. Slow, and written without the code that it is held against.
 */
final class SlowSeries {

  /** Hours of the week and the days that are off, of which all must be open at once. */
  record Open(WeeklyHours hours, Set<LocalDate> daysOff) {}

  private final ZoneId clock;
  private final Set<LocalDate> off;
  private final List<Open> open;

  /**
   * @param off days that working days leave out
   */
  SlowSeries(ZoneId clock, Set<LocalDate> off, List<Open> open) {
    this.clock = clock;
    this.off = off;
    this.open = open;
  }

  Instant due(Instant begun, Wait wait) {
    Instant at = over(begun, wait);
    while (!isOpen(at)) {
      at = nextMinute(at);
    }
    return at;
  }

  private Instant over(Instant begun, Wait wait) {
    return switch (wait.unit()) {
      case MINUTES -> firstShowing(minutesLater(begun, wait.count()), wait.at());
      case HOURS -> firstShowing(minutesLater(begun, 60 * wait.count()), wait.at());
      case DAYS, WORKING_DAYS -> overInDays(begun, wait);
    };
  }

  private static Instant minutesLater(Instant begun, int minutes) {
    Instant at = begun;
    for (int i = 0; i < minutes; i++) {
      at = at.plus(Duration.ofMinutes(1));
    }
    return at;
  }

  /** The first minute from one on at which the wall first shows a time of day, or is past it. */
  private Instant firstShowing(Instant from, LocalTime time) {
    if (time == null) {
      return from;
    }
    LocalDate day = wall(from).toLocalDate();
    Instant today = firstAt(day.atTime(time));
    return today.isBefore(from) ? firstAt(day.plusDays(1).atTime(time)) : today;
  }

  private Instant overInDays(Instant begun, Wait wait) {
    boolean working = wait.unit() == Wait.Unit.WORKING_DAYS;
    LocalDate first = wall(begun).toLocalDate();
    LocalTime time = wait.at() == null ? wall(begun).toLocalTime() : wait.at();
    LocalDate day = first;
    for (int counted = 0; counted < wait.count() || (working && !works(day)); ) {
      day = day.plusDays(1);
      counted += !working || works(day) ? 1 : 0;
    }
    if (wait.at() == null && day.equals(first)) {
      return begun;
    }
    Instant at = firstAt(day.atTime(time));
    while (at.isBefore(begun) || (working && !works(day))) {
      day = day.plusDays(1);
      at = firstAt(day.atTime(time));
    }
    return at;
  }

  private boolean works(LocalDate day) {
    return day.getDayOfWeek().getValue() <= DayOfWeek.FRIDAY.getValue() && !off.contains(day);
  }

  /** The first minute at which the wall shows this time or a later one. */
  private Instant firstAt(LocalDateTime wanted) {
    // No zone is further than 14 hours from UTC, nor changes by more than a day.
    Instant at = wanted.minusHours(40).toInstant(java.time.ZoneOffset.UTC);
    while (wall(at).isBefore(wanted)) {
      at = nextMinute(at);
    }
    return at;
  }

  private LocalDateTime wall(Instant at) {
    return LocalDateTime.ofInstant(at, clock);
  }

  private static Instant nextMinute(Instant at) {
    return at.plus(Duration.ofMinutes(1)).minusSeconds(at.getEpochSecond() % 60);
  }

  private boolean isOpen(Instant at) {
    LocalDateTime wall = wall(at);
    int minute = wall.getHour() * 60 + wall.getMinute();
    return open.stream()
        .allMatch(
            o ->
                !o.daysOff().contains(wall.toLocalDate())
                    && o.hours().windows().stream()
                        .anyMatch(
                            w ->
                                w.day() == wall.getDayOfWeek()
                                    && w.from() <= minute
                                    && minute < w.to()));
  }
}
