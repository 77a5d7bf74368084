package app.jemble.core.pace;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Optional;
import java.util.Set;

/** When something that is due may leave: at once within hours, else when they begin. */
public record NextOpen(WeeklyHours hours, Set<LocalDate> daysOff) {

  /** The first open second at or after an instant on a clock; empty when none comes. */
  public Optional<Instant> at(Instant asked, ZoneId clock) {
    long open = new OpenTimes(clock, hours, daysOff).at(asked.getEpochSecond());
    if (open == OpenTimes.NEVER) {
      return Optional.empty();
    }
    return Optional.of(open <= asked.getEpochSecond() ? asked : Instant.ofEpochSecond(open));
  }
}
