package app.jemble.core.pace;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.zone.ZoneOffsetTransition;
import java.time.zone.ZoneRules;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** What the caps still let leave on each calendar day of the workspace. Seconds of the epoch. */
final class CapDays {

  private static final int DAY = 86_400;

  private final ZoneRules rules;
  private final List<DailyCap> caps;
  private final Map<LocalDate, Long> used = new HashMap<>();

  private LocalDate day;
  private long dayFrom = 0;
  private long dayTo = 0;
  private long remaining;

  CapDays(ZoneId house, List<DailyCap> caps) {
    this.rules = house.getRules();
    this.caps = caps;
  }

  /** How many more may leave at an instant. */
  long remaining(long at) {
    if (caps.isEmpty()) {
      return Long.MAX_VALUE;
    }
    enter(at);
    return remaining;
  }

  void take(long at, long messages) {
    if (!caps.isEmpty()) {
      enter(at);
      remaining -= messages;
      used.merge(day, messages, Long::sum);
    }
  }

  LocalDate day(long at) {
    enter(at);
    return day;
  }

  /** The first instant after one that is counted on another day. */
  long nextDay(long at) {
    enter(at);
    return dayTo;
  }

  /** The caps that let nothing more leave on a day. */
  List<String> full(LocalDate of) {
    long mine = used.getOrDefault(of, 0L);
    return caps.stream().filter(c -> c.remaining(of) <= mine).map(DailyCap::name).toList();
  }

  /** A day can come in two pieces where clocks go back past midnight. */
  private void enter(long at) {
    if (at >= dayFrom && at < dayTo) {
      return;
    }
    Instant instant = Instant.ofEpochSecond(at);
    long local = at + rules.getOffset(instant).getTotalSeconds();
    ZoneOffsetTransition next = rules.nextTransition(instant);
    long midnight = at + DAY - Math.floorMod(local, DAY);
    day = LocalDate.ofEpochDay(Math.floorDiv(local, (long) DAY));
    dayFrom = at;
    dayTo = next == null ? midnight : Math.min(midnight, next.toEpochSecond());
    remaining = caps.stream().mapToLong(c -> c.remaining(day)).min().orElse(Long.MAX_VALUE);
    remaining = Math.max(0, remaining - used.getOrDefault(day, 0L));
  }
}
