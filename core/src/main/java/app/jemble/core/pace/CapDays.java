package app.jemble.core.pace;

import app.jemble.core.reach.Channel;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.zone.ZoneOffsetTransition;
import java.time.zone.ZoneRules;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** What the caps still let leave on each calendar day of the workspace. Seconds of the epoch. */
final class CapDays {

  private static final int DAY = 86_400;

  private final ZoneRules rules;
  private final DailyCap[] caps;

  /** By day, how many messages of the plan count, by the place of the cap. */
  private final Map<LocalDate, long[]> used = new HashMap<>();

  private LocalDate day;
  private long dayFrom = 0;
  private long dayTo = 0;

  /** Of the day that was entered. */
  private long[] left;

  CapDays(ZoneId house, List<DailyCap> caps) {
    this.rules = house.getRules();
    this.caps = caps.toArray(DailyCap[]::new);
  }

  /** How many more may leave at an instant by a way. */
  long remaining(long at, Channel way) {
    long remaining = Long.MAX_VALUE;
    if (caps.length > 0) {
      enter(at);
      for (int c = 0; c < caps.length; c++) {
        if (left[c] < remaining && caps[c].binds(way)) {
          remaining = left[c];
        }
      }
    }
    return remaining;
  }

  /** One message leaves. */
  void take(long at, Channel way) {
    if (caps.length > 0) {
      enter(at);
      long[] taken = used.computeIfAbsent(day, d -> new long[caps.length]);
      for (int c = 0; c < caps.length; c++) {
        if (caps[c].binds(way)) {
          left[c]--;
          taken[c]++;
        }
      }
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

  /** The caps that let nothing more leave by a way on the day of an instant. */
  List<String> full(long at, Channel way) {
    enter(at);
    List<String> full = new ArrayList<>();
    for (int c = 0; c < caps.length; c++) {
      if (left[c] <= 0 && caps[c].binds(way)) {
        full.add(caps[c].name());
      }
    }
    return full;
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
    long[] taken = used.get(day);
    left = new long[caps.length];
    for (int c = 0; c < caps.length; c++) {
      left[c] = Math.max(0, caps[c].remaining(day) - (taken == null ? 0 : taken[c]));
    }
  }
}
