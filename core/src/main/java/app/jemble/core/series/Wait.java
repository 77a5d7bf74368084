package app.jemble.core.series;

import app.jemble.core.followup.WorkingDays;
import app.jemble.core.pace.WallClock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.Locale;

/**
 * How long after the step before one is due; the first, after somebody came in (domain of series).
 *
 * @param count 0 to {@link #MOST}
 * @param at the time of day, to the minute; null keeps the time of day that the wait began at
 */
public record Wait(int count, Unit unit, LocalTime at) {

  public static final int MOST = 1000;

  /** What is counted. */
  public enum Unit {
    MINUTES("minute"),
    HOURS("hour"),
    /** the same time on the wall so many days later, not so many times 24 hours */
    DAYS("day"),
    WORKING_DAYS("working day");

    private final String one;

    Unit(String one) {
      this.one = one;
    }

    public boolean isDays() {
      return this == DAYS || this == WORKING_DAYS;
    }
  }

  public Wait {
    if (count < 0 || count > MOST) {
      throw new IllegalArgumentException("A step waits 0 to 1,000 minutes, hours or days.");
    }
    at = at == null ? null : at.withSecond(0).withNano(0);
  }

  /** When the wait that began then is over, on a clock. */
  public Instant from(Instant begun, ZoneId clock, WorkingDays days) {
    return switch (unit) {
      case MINUTES -> timeOfDay(begun.plus(Duration.ofMinutes(count)), clock);
      case HOURS -> timeOfDay(begun.plus(Duration.ofHours(count)), clock);
      case DAYS -> onDays(begun, clock, days, false);
      case WORKING_DAYS -> onDays(begun, clock, days, true);
    };
  }

  /** The first instant from one on at which the wall shows the time of day for the first time. */
  private Instant timeOfDay(Instant from, ZoneId clock) {
    if (at == null) {
      return from;
    }
    LocalDate day = from.atZone(clock).toLocalDate();
    Instant that = WallClock.at(day.atTime(at), clock);
    return that.isBefore(from) ? WallClock.at(day.plusDays(1).atTime(at), clock) : that;
  }

  private Instant onDays(Instant begun, ZoneId clock, WorkingDays days, boolean working) {
    ZonedDateTime wall = begun.atZone(clock);
    LocalDate day = day(wall.toLocalDate(), days, working);
    LocalTime time = at == null ? wall.toLocalTime() : at;
    if (count == 0 && at == null && day.equals(wall.toLocalDate())) {
      return begun;
    }
    Instant that = WallClock.at(day.atTime(time), clock);
    if (!that.isBefore(begun)) {
      return that;
    }
    LocalDate next = working ? days.after(day, 1) : day.plusDays(1);
    return WallClock.at(next.atTime(time), clock);
  }

  private LocalDate day(LocalDate from, WorkingDays days, boolean working) {
    if (!working) {
      return from.plusDays(count);
    }
    return count == 0 && days.isWorking(from) ? from : days.after(from, Math.max(1, count));
  }

  /** Such as "3 working days later, at 09:00". */
  public String words() {
    String when = at == null ? "" : ", at " + at;
    if (count == 0) {
      return at == null ? "at once" : "at " + at;
    }
    return count == 1
        ? "1 " + unit.one + " later" + when
        : String.format(Locale.ENGLISH, "%,d %ss later%s", count, unit.one, when);
  }
}
