package app.jemble.core.pace;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.zone.ZoneOffsetTransition;
import java.time.zone.ZoneRules;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/** When each message of an audience leaves, and what held it back. */
public final class Plan {

  private static final int HOUR = 3600;

  /** Said of a day on which messages waited for the sending hours. */
  public static final String HOURS = "hours";

  /** Said of a day on which messages waited for their readers to be awake. */
  public static final String QUIET = "quiet hours";

  /**
   * How many messages leave in one hour of the workspace's clock.
   *
   * @param hour its begin
   */
  public record Hour(LocalDateTime hour, long messages) {}

  private final long[] at;
  private final Waves waves;
  private final int unplanned;
  private final Map<LocalDate, Set<String>> bound;

  Plan(long[] at, Waves waves, int unplanned, Map<LocalDate, Set<String>> bound) {
    this.at = at;
    this.waves = waves;
    this.unplanned = unplanned;
    this.bound = bound;
  }

  /** When one person's message leaves; empty when it never may. */
  public Optional<Instant> of(int person) {
    return at[person] == OpenTimes.NEVER
        ? Optional.empty()
        : Optional.of(Instant.ofEpochSecond(at[person]));
  }

  /** How many people it is for. */
  public int size() {
    return at.length;
  }

  /** How many people have no time, since the limits never let their message leave. */
  public int unplanned() {
    return unplanned;
  }

  public int waves() {
    return waves.size();
  }

  /** When the first message leaves; empty when none does. */
  public Optional<Instant> first() {
    return waves.size() == 0 ? Optional.empty() : Optional.of(Instant.ofEpochSecond(waves.at(0)));
  }

  /** When the last message leaves; empty when none does. */
  public Optional<Instant> last() {
    return waves.size() == 0
        ? Optional.empty()
        : Optional.of(Instant.ofEpochSecond(waves.at(waves.size() - 1)));
  }

  /** Whether everyone's message has left by an instant, that instant included. */
  public boolean isDoneBy(Instant deadline) {
    return unplanned == 0 && last().map(l -> !l.isAfter(deadline)).orElse(true);
  }

  /**
   * By day of the workspace, what held messages back: {@link #HOURS}, {@link #QUIET}, or a cap's
   * name.
   */
  public Map<LocalDate, Set<String>> bound() {
    return bound;
  }

  /** The share of all messages that leaves on the day on which most do, from 0 to 1. */
  public double shareOfFullestDay(ZoneId house) {
    Map<LocalDate, Long> days = new TreeMap<>();
    hours(house).forEach(h -> days.merge(h.hour().toLocalDate(), h.messages(), Long::sum));
    long all = days.values().stream().mapToLong(n -> n).sum();
    return all == 0 ? 0 : (double) days.values().stream().mapToLong(n -> n).max().orElse(0) / all;
  }

  /** Messages by hour, in order, hours without any left out. */
  public List<Hour> hours(ZoneId house) {
    ZoneRules rules = house.getRules();
    Map<LocalDateTime, Long> counts = new TreeMap<>();
    long until = Long.MIN_VALUE;
    LocalDateTime hour = null;
    long messages = 0;
    for (int i = 0; i < waves.size(); i++) {
      long wave = waves.at(i);
      if (wave >= until) {
        if (hour != null) {
          counts.merge(hour, messages, Long::sum);
        }
        messages = 0;
        Instant instant = Instant.ofEpochSecond(wave);
        long local = wave + rules.getOffset(instant).getTotalSeconds();
        ZoneOffsetTransition next = rules.nextTransition(instant);
        long end = wave + HOUR - Math.floorMod(local, HOUR);
        until = next == null ? end : Math.min(end, next.toEpochSecond());
        hour =
            LocalDateTime.of(
                LocalDate.ofEpochDay(Math.floorDiv(local, 86_400L)),
                LocalTime.of((int) (Math.floorMod(local, 86_400L) / HOUR), 0));
      }
      messages += waves.people(i);
    }
    if (hour != null) {
      counts.merge(hour, messages, Long::sum);
    }
    List<Hour> hours = new ArrayList<>();
    counts.forEach((h, m) -> hours.add(new Hour(h, m)));
    return hours;
  }
}
