package app.jemble.bench;

import app.jemble.core.pace.Clocks;
import app.jemble.core.pace.DailyCap;
import app.jemble.core.pace.Deadline;
import app.jemble.core.pace.Pace;
import app.jemble.core.pace.Plan;
import app.jemble.core.pace.PlanAsk;
import app.jemble.core.pace.Planner;
import app.jemble.core.pace.QuietHours;
import app.jemble.core.pace.Start;
import app.jemble.core.pace.WeeklyHours;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Plans of people in forty zones, in working hours on their own clocks, under a cap; and what the
 * run sheet asks while a number is being changed: the plan and the three backward searches.
 */
final class PlanBench {

  private static final int WARM_UPS = 2;
  private static final int RUNS = 5;
  private static final int ZONES = 40;
  private static final Instant START = Instant.parse("2026-03-24T09:00:00Z");

  private PlanBench() {}

  static void run() throws Exception {
    for (int people : new int[] {10_000, 1_000_000}) {
      Clocks clocks = clocks(people);
      PlanAsk ask = ask(people);
      Heap heap = Heap.now();
      double[] seconds = new double[RUNS];
      for (int run = -WARM_UPS; run < RUNS; run++) {
        double millis = Interleaved.millis(() -> whole(Planner.plan(ask, clocks), people));
        if (run >= 0) {
          seconds[run] = millis / 1000;
        }
      }
      Figures.print("plan." + people + ".s", "s", seconds);
      Figures.print("plan." + people + ".peak_mb", "MB", new double[] {heap.peakMegabytes()});
    }
    sheet();
  }

  private static void sheet() throws Exception {
    Clocks clocks = clocks(10_000);
    PlanAsk ask = ask(10_000);
    Deadline deadline = new Deadline(ask, clocks, START.plus(Duration.ofDays(12)));
    double[] millis = new double[RUNS];
    for (int run = -WARM_UPS; run < RUNS; run++) {
      double took =
          Interleaved.millis(
              () -> {
                Planner.plan(ask, clocks);
                deadline.smallestWave();
                deadline.largestGap();
                deadline.latestStart();
                deadline.miss();
              });
      if (run >= 0) {
        millis[run] = took;
      }
    }
    Figures.print("plan.sheet.10000.ms", "ms", millis);
  }

  private static void whole(Plan plan, int people) {
    if (plan.unplanned() > 0 || plan.size() != people || plan.hours(ZoneId.of("UTC")).isEmpty()) {
      throw new IllegalStateException("the plan is not whole");
    }
  }

  private static PlanAsk ask(int people) {
    WeeklyHours working =
        WeeklyHours.on(
            List.copyOf(EnumSet.range(DayOfWeek.MONDAY, DayOfWeek.FRIDAY)),
            LocalTime.of(9, 0),
            LocalTime.of(17, 0));
    return new PlanAsk(
        new Start.At(START),
        START,
        new Pace(Math.max(1, people / 5000), 60),
        working,
        Set.of(LocalDate.of(2026, 4, 3)),
        true,
        QuietHours.USUAL,
        ZoneId.of("Europe/London"),
        List.of(new DailyCap("the workspace", people / 8, Map.of())));
  }

  /** Zones of all parts of the world, as the JDK names them. */
  private static Clocks clocks(int people) {
    List<String> names =
        ZoneId.getAvailableZoneIds().stream()
            .filter(z -> z.matches("(Europe|America|Asia|Australia|Pacific|Africa)/[A-Z][a-z]+"))
            .sorted()
            .toList();
    Clocks clocks = new Clocks();
    for (int i = 0; i < people; i++) {
      clocks.add(ZoneId.of(names.get((int) (i * 7919L % ZONES) * (names.size() / ZONES))));
    }
    return clocks;
  }
}
