package app.jemble.core.series;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.followup.WorkingDays;
import app.jemble.core.pace.NextOpen;
import app.jemble.core.pace.WeeklyHours;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** When a step is due, by worked examples and against a slow second implementation. */
public class DueTest {

  private static final Wait AT_ONCE = new Wait(0, Wait.Unit.MINUTES, null);

  private static final ZoneId LONDON = ZoneId.of("Europe/London");

  /** Half and quarter hours, changes at midnight, southern summers, days of no change at all. */
  private static final List<String> ZONES =
      List.of(
          "Europe/London",
          "America/New_York",
          "Australia/Lord_Howe",
          "Asia/Kathmandu",
          "America/Santiago",
          "Asia/Beirut",
          "Pacific/Auckland",
          "America/St_Johns",
          "Africa/Casablanca",
          "Asia/Tokyo");

  private static WorkingDays week(LocalDate... off) {
    return new WorkingDays(Set.of(off), LONDON);
  }

  private static SeriesClock always(WorkingDays days) {
    NextOpen any = new NextOpen(WeeklyHours.ANY, Set.of());
    return new SeriesClock(LONDON, false, days, List.of(any));
  }

  private static Instant london(String wall) {
    return java.time.LocalDateTime.parse(wall).atZone(LONDON).toInstant();
  }

  private static Instant due(String begun, Wait wait, LocalDate... off) {
    return always(week(off)).due(london(begun), wait, LONDON).orElseThrow();
  }

  @DataProvider
  public Object[][] examples() {
    LocalTime nine = LocalTime.of(9, 0);
    return new Object[][] {
      // Clocks go forward on 29 March 2026: three days later is 71 hours later.
      {"2026-03-27T08:30", new Wait(3, Wait.Unit.DAYS, null), "2026-03-30T08:30"},
      {"2026-03-27T08:30", new Wait(72, Wait.Unit.HOURS, null), "2026-03-30T09:30"},
      {"2026-03-28T01:30", new Wait(1, Wait.Unit.DAYS, null), "2026-03-29T02:00"},
      {"2026-10-24T01:30", new Wait(1, Wait.Unit.DAYS, null), "2026-10-25T01:30"},
      // Friday, then Monday off: the second working day is Wednesday.
      {"2026-04-03T16:00", new Wait(2, Wait.Unit.WORKING_DAYS, nine), "2026-04-08T09:00"},
      {"2026-04-04T16:00", new Wait(0, Wait.Unit.WORKING_DAYS, nine), "2026-04-07T09:00"},
      {"2026-04-02T10:00", new Wait(0, Wait.Unit.DAYS, nine), "2026-04-03T09:00"},
      {"2026-04-02T08:00", new Wait(0, Wait.Unit.DAYS, nine), "2026-04-02T09:00"},
      {"2026-04-02T08:00", new Wait(90, Wait.Unit.MINUTES, nine), "2026-04-03T09:00"},
      {"2026-04-02T08:00", AT_ONCE, "2026-04-02T08:00"},
    };
  }

  @Test(dataProvider = "examples")
  public void aWaitIsOver(String begun, Wait wait, String over) {
    assertThat(due(begun, wait, LocalDate.of(2026, 4, 6))).isEqualTo(london(over));
  }

  @Test
  public void whoRunsOnTheirOwnClockWaitsByIt() {
    SeriesClock own =
        new SeriesClock(
            LONDON,
            true,
            week(),
            List.of(
                new NextOpen(
                    WeeklyHours.on(
                        List.of(DayOfWeek.values()), LocalTime.of(8, 0), LocalTime.of(20, 0)),
                    Set.of())));
    Instant begun = Instant.parse("2026-06-01T12:00:00Z");
    Wait wait = new Wait(1, Wait.Unit.DAYS, LocalTime.of(7, 0));
    assertThat(own.due(begun, wait, ZoneId.of("Asia/Tokyo")))
        .as("08:00 in Tokyo on 2 June")
        .contains(Instant.parse("2026-06-01T23:00:00Z"));
  }

  @Test
  public void hoursThatNeverMeetAreSaidToBeNone() {
    NextOpen mornings = hours(DayOfWeek.MONDAY, 6, 9);
    NextOpen evenings = hours(DayOfWeek.MONDAY, 18, 20);
    SeriesClock never = new SeriesClock(LONDON, false, week(), List.of(mornings, evenings));
    assertThat(never.due(london("2026-04-02T08:00"), AT_ONCE, LONDON)).isEmpty();
  }

  private static NextOpen hours(DayOfWeek day, int from, int to) {
    return new NextOpen(
        WeeklyHours.on(List.of(day), LocalTime.of(from, 0), LocalTime.of(to, 0)), Set.of());
  }

  @Test
  public void itIsDueWhenTheWallSaysSo() {
    Random random = new Random(17);
    for (int i = 0; i < 1500; i++) {
      ZoneId person = ZoneId.of(ZONES.get(i % ZONES.size()));
      boolean own = random.nextInt(4) > 0;
      Set<LocalDate> off = daysOff(random);
      List<SlowSeries.Open> open = open(random, off);
      SeriesClock clock =
          new SeriesClock(
              LONDON,
              own,
              new WorkingDays(off, LONDON),
              open.stream().map(o -> new NextOpen(o.hours(), o.daysOff())).toList());
      SlowSeries slow = new SlowSeries(own ? person : LONDON, off, open);
      Instant at = nearAChange(random, own ? person : LONDON);
      // The steps of one entry, each from where the one before left.
      for (int step = 0; step < 4; step++) {
        Wait wait = wait(random);
        Instant due = clock.due(at, wait, person).orElseThrow();
        assertThat(due).as("%s after %s in %s", wait, at, person).isEqualTo(slow.due(at, wait));
        at = due;
      }
    }
  }

  /** Within some days of a change of clocks where the zone has any. */
  private static Instant nearAChange(Random random, ZoneId zone) {
    Instant somewhen =
        Instant.parse("2024-01-01T00:00:00Z").plusSeconds(random.nextInt(4 * 31_536_000));
    var change = zone.getRules().nextTransition(somewhen);
    Instant near = change == null ? somewhen.truncatedTo(ChronoUnit.MINUTES) : change.getInstant();
    return near.minusSeconds(60L * (random.nextInt(5 * 24 * 60) - 600));
  }

  private static Set<LocalDate> daysOff(Random random) {
    Set<LocalDate> off = new HashSet<>();
    for (int i = 0; i < 60; i++) {
      off.add(LocalDate.of(2024, 1, 1).plusDays(random.nextInt(5 * 365)));
    }
    return off;
  }

  private static List<SlowSeries.Open> open(Random random, Set<LocalDate> off) {
    List<SlowSeries.Open> open = new ArrayList<>();
    open.add(new SlowSeries.Open(week(random), random.nextBoolean() ? off : Set.of()));
    if (random.nextBoolean()) {
      // Quiet hours of a channel: open from 08:00 to 21:00, every day.
      open.add(
          new SlowSeries.Open(
              WeeklyHours.on(List.of(DayOfWeek.values()), LocalTime.of(8, 0), LocalTime.of(21, 0)),
              Set.of()));
    }
    return open;
  }

  /** Some days of the week; always at least one window that meets the channel's. */
  private static WeeklyHours week(Random random) {
    List<WeeklyHours.Window> windows = new ArrayList<>();
    windows.add(
        new WeeklyHours.Window(
            DayOfWeek.of(1 + random.nextInt(7)), 600, 601 + random.nextInt(500)));
    for (DayOfWeek day : DayOfWeek.values()) {
      if (random.nextInt(3) > 0) {
        int from = random.nextInt(1300);
        int to = from + 1 + random.nextInt(1440 - from);
        if (windows.stream().noneMatch(w -> w.day() == day)) {
          windows.add(new WeeklyHours.Window(day, from, to));
        }
      }
    }
    return new WeeklyHours(windows);
  }

  private static Wait wait(Random random) {
    Wait.Unit unit = Wait.Unit.values()[random.nextInt(4)];
    int count =
        switch (unit) {
          case MINUTES -> random.nextInt(300);
          case HOURS -> random.nextInt(80);
          default -> random.nextInt(12);
        };
    LocalTime at =
        random.nextBoolean() ? null : LocalTime.ofSecondOfDay(60L * random.nextInt(1440));
    return new Wait(count, unit, at);
  }
}
