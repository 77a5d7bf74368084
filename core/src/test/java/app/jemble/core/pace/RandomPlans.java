package app.jemble.core.pace;

import app.jemble.core.reach.Channel;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;

/** Audiences and limits of all kinds, many of them around days on which clocks change. */
final class RandomPlans {

  /**
   * Half hours and quarters, both half-years, changes at midnight (Beirut) and of half an hour
   * (Lord Howe), and none.
   */
  private static final List<String> ZONES =
      List.of(
          "Europe/London",
          "America/New_York",
          "Asia/Kathmandu",
          "Asia/Kolkata",
          "Australia/Lord_Howe",
          "Asia/Beirut",
          "Pacific/Auckland",
          "America/St_Johns",
          "UTC",
          "Pacific/Honolulu");

  /** Europe and the Americas change in March and October or November, Beirut at midnight. */
  private static final List<LocalDate> DAYS =
      List.of(
          LocalDate.of(2026, 3, 7),
          LocalDate.of(2026, 3, 28),
          LocalDate.of(2026, 4, 4),
          LocalDate.of(2026, 6, 10),
          LocalDate.of(2026, 9, 26),
          LocalDate.of(2026, 10, 3),
          LocalDate.of(2026, 10, 24),
          LocalDate.of(2026, 10, 31));

  private final Random random;
  private final int unit;

  /**
   * @param unit all instants and lengths are multiples of so many seconds
   */
  RandomPlans(long seed, int unit) {
    this.random = new Random(seed);
    this.unit = unit;
  }

  record Case(PlanAsk ask, List<ZoneId> zones, List<Channel> ways, Instant from) {

    Clocks clocks() {
      Clocks clocks = new Clocks();
      for (int i = 0; i < zones.size(); i++) {
        clocks.add(zones.get(i), ways.get(i));
      }
      return clocks;
    }
  }

  Case next(int days) {
    LocalDate day = DAYS.get(random.nextInt(DAYS.size()));
    ZoneId house = zone();
    List<ZoneId> zones = new ArrayList<>();
    ZoneId[] some = {house, zone(), zone()};
    for (int i = 1 + random.nextInt(12); i > 0; i--) {
      zones.add(some[random.nextInt(some.length)]);
    }
    long at = units(86_400);
    Start start =
        random.nextBoolean()
            ? new Start.At(day.atStartOfDay().toInstant(ZoneOffset.UTC).plusSeconds(at))
            : new Start.OwnTime(LocalDateTime.of(day, LocalTime.MIN).plusSeconds(at));
    Instant from = day.atStartOfDay().toInstant(ZoneOffset.UTC).minusSeconds(86_400);
    Instant notBefore = random.nextInt(3) == 0 ? from.plusSeconds(86_400 + units(86_400)) : from;
    PlanAsk ask =
        new PlanAsk(
            start,
            notBefore,
            pace(),
            random.nextInt(4) == 0 ? WeeklyHours.ANY : hours(),
            daysOff(day, days),
            random.nextBoolean(),
            random.nextInt(4) == 0 ? QuietHours.NONE : quiet(),
            house,
            caps(day, days));
    return new Case(ask, zones, zones.stream().map(z -> way()).toList(), from);
  }

  private ZoneId zone() {
    return ZoneId.of(ZONES.get(random.nextInt(ZONES.size())));
  }

  private Channel way() {
    return Channel.values()[random.nextInt(Channel.values().length)];
  }

  private QuietHours quiet() {
    return new QuietHours(
        LocalTime.of(random.nextInt(24), random.nextInt(60)),
        LocalTime.of(random.nextInt(24), random.nextInt(60)));
  }

  private long units(int below) {
    return (long) random.nextInt(below / unit) * unit;
  }

  private Pace pace() {
    return random.nextInt(4) == 0
        ? Pace.ALL_AT_ONCE
        : new Pace(1 + random.nextInt(4), units(4 * 3600));
  }

  private WeeklyHours hours() {
    List<WeeklyHours.Window> windows = new ArrayList<>();
    for (DayOfWeek day : DayOfWeek.values()) {
      for (int w = random.nextInt(3); w > 0; w--) {
        int from = random.nextInt(1440);
        int to = Math.min(1440, from + 1 + random.nextInt(240));
        windows.add(new WeeklyHours.Window(day, from, to));
      }
    }
    return new WeeklyHours(windows);
  }

  private Set<LocalDate> daysOff(LocalDate day, int days) {
    Set<LocalDate> off = new HashSet<>();
    for (int i = random.nextInt(3); i > 0; i--) {
      off.add(day.plusDays(random.nextInt(days)));
    }
    return off;
  }

  private List<DailyCap> caps(LocalDate day, int days) {
    List<DailyCap> caps = new ArrayList<>();
    for (int c = random.nextInt(3); c > 0; c--) {
      Map<LocalDate, Long> taken = new HashMap<>();
      for (int d = -1; d < days; d++) {
        if (random.nextBoolean()) {
          taken.put(day.plusDays(d), (long) random.nextInt(6));
        }
      }
      caps.add(
          new DailyCap("cap " + c, random.nextBoolean() ? way() : null, random.nextInt(8), taken));
    }
    return caps;
  }
}
