package app.jemble.core.series;

import app.jemble.core.series.WayAhead.Ahead;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** When the last step of a series leaves to whoever comes in at an instant, and the way back. */
public final class LastStep {

  private static final long MINUTE = 60;

  private LastStep() {}

  /**
   * When the last step leaves at the earliest.
   *
   * @return empty when there is no step, or no hour comes for one
   */
  public static Optional<Instant> of(
      Instant entered, Steps steps, SeriesClock clock, ZoneId person) {
    EntryLook.Entry entry = new EntryLook.Entry(null, entered, entered, null, person, Set.of());
    List<Ahead> way = WayAhead.of(entered, entry, steps, clock);
    return way.isEmpty() ? Optional.empty() : way.get(way.size() - 1).at();
  }

  /**
   * The latest whole minute at which people of these zones may come in, so that everyone has had
   * the last step by an instant.
   *
   * @param from they do not come in before it
   * @return empty when not even then everyone has
   */
  public static Optional<Instant> latestEntry(
      Instant from, Instant by, Steps steps, SeriesClock clock, Collection<ZoneId> zones) {
    Instant first = from.truncatedTo(ChronoUnit.MINUTES);
    first = first.equals(from) ? first : first.plusSeconds(MINUTE);
    if (!inTime(first, by, steps, clock, zones)) {
      return Optional.empty();
    }
    long in = 0;
    long late = Math.max(1, Duration.between(first, by).toMinutes() + 1);
    while (late - in > 1) {
      long middle = (in + late) / 2;
      if (inTime(first.plusSeconds(middle * MINUTE), by, steps, clock, zones)) {
        in = middle;
      } else {
        late = middle;
      }
    }
    return Optional.of(first.plusSeconds(in * MINUTE));
  }

  private static boolean inTime(
      Instant entered, Instant by, Steps steps, SeriesClock clock, Collection<ZoneId> zones) {
    return zones.stream()
        .allMatch(
            zone -> of(entered, steps, clock, zone).filter(last -> !last.isAfter(by)).isPresent());
  }
}
