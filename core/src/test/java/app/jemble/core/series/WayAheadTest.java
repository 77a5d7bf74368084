package app.jemble.core.series;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.followup.WorkingDays;
import app.jemble.core.pace.NextOpen;
import app.jemble.core.pace.WeeklyHours;
import app.jemble.core.series.EntryLook.Entry;
import app.jemble.core.series.Steps.Step;
import app.jemble.core.series.WayAhead.Ahead;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.testng.annotations.Test;

/** What comes when for somebody. */
public class WayAheadTest {

  private static final ZoneId LONDON = ZoneId.of("Europe/London");
  private static final WorkingDays WEEK = new WorkingDays(Set.of(), LONDON);
  private static final Ending NEVER = new Ending(false, false, false);

  /** A Monday, eleven in the morning. */
  private static final Instant NOW = Instant.parse("2026-06-01T10:00:00Z");

  private static final Step ONE = step(1, new Wait(0, Wait.Unit.MINUTES, null));
  private static final Step TWO = step(2, new Wait(2, Wait.Unit.DAYS, LocalTime.of(9, 0)));
  private static final Step THREE = step(3, new Wait(5, Wait.Unit.WORKING_DAYS, null));

  private static Step step(int place, Wait wait) {
    return new Step(place, place, wait, false, 0);
  }

  private static SeriesClock clock(WeeklyHours hours) {
    return new SeriesClock(LONDON, false, WEEK, List.of(new NextOpen(hours, Set.of())));
  }

  private static Entry entry(Long passed, Instant begun, Instant held) {
    return new Entry(passed, NOW, begun, held, LONDON, Set.of());
  }

  private static List<Instant> ahead(Entry of) {
    return WayAhead.of(NOW, of, new Steps(List.of(ONE, TWO, THREE)), clock(WeeklyHours.ANY))
        .stream()
        .map(a -> a.at().orElseThrow())
        .toList();
  }

  @Test
  public void whoComesInNowGetsEachStepAfterTheOneBefore() {
    assertThat(ahead(entry(null, NOW, null)))
        .containsExactly(
            NOW, Instant.parse("2026-06-03T08:00:00Z"), Instant.parse("2026-06-10T08:00:00Z"));
  }

  @Test
  public void whoIsPastAStepHasTheOthersAhead() {
    Instant left = NOW.minus(Duration.ofDays(1));
    assertThat(ahead(entry(1L, left, null)))
        .containsExactly(
            Instant.parse("2026-06-02T08:00:00Z"), Instant.parse("2026-06-09T08:00:00Z"));
    assertThat(ahead(entry(3L, left, null))).isEmpty();
  }

  @Test
  public void whoIsHeldHasNothingBefore() {
    Instant held = Instant.parse("2026-07-01T00:00:00Z");
    assertThat(ahead(entry(null, NOW, held))).allMatch(at -> !at.isBefore(held));
  }

  @Test
  public void whatHasNotLeftYetIsTakenToLeaveNow() {
    assertThat(ahead(entry(1L, null, null)).get(0))
        .isEqualTo(Instant.parse("2026-06-03T08:00:00Z"));
  }

  @Test
  public void whereNoHourComesNothingMoreIsTold() {
    WeeklyHours mornings =
        WeeklyHours.on(List.of(DayOfWeek.MONDAY), LocalTime.of(6, 0), LocalTime.of(7, 0));
    WeeklyHours evenings =
        WeeklyHours.on(List.of(DayOfWeek.MONDAY), LocalTime.of(18, 0), LocalTime.of(19, 0));
    SeriesClock never =
        new SeriesClock(
            LONDON,
            false,
            WEEK,
            List.of(new NextOpen(mornings, Set.of()), new NextOpen(evenings, Set.of())));
    assertThat(WayAhead.of(NOW, entry(null, NOW, null), new Steps(List.of(ONE, TWO)), never))
        .containsExactly(new Ahead(ONE, Optional.empty()));
  }

  /** Looked at again and again until it is over, everything leaves when it was said to. */
  @Test
  public void whatIsForetoldComesTrue() {
    Random random = new Random(18);
    for (int i = 0; i < 500; i++) {
      Steps steps = steps(random);
      SeriesClock clock =
          clock(
              random.nextBoolean()
                  ? WeeklyHours.ANY
                  : WeeklyHours.on(
                      List.of(DayOfWeek.of(1 + random.nextInt(7)), DayOfWeek.TUESDAY),
                      LocalTime.of(random.nextInt(12), 0),
                      LocalTime.of(13, 0)));
      Instant begun = NOW.minus(Duration.ofHours(random.nextInt(200)));
      Instant held = random.nextInt(3) == 0 ? NOW.plus(Duration.ofDays(random.nextInt(9))) : null;
      Entry entry = entry(null, begun, held);
      List<Instant> foretold =
          WayAhead.of(NOW, entry, steps, clock).stream().map(a -> a.at().orElseThrow()).toList();
      assertThat(foretold).isEqualTo(happens(entry, steps, clock));
    }
  }

  private static Steps steps(Random random) {
    List<Step> steps = new ArrayList<>();
    for (int place = 1; place <= 1 + random.nextInt(5); place++) {
      Wait.Unit unit = Wait.Unit.values()[random.nextInt(4)];
      LocalTime at = random.nextBoolean() ? LocalTime.of(random.nextInt(24), 30) : null;
      steps.add(
          new Step(place, place, new Wait(random.nextInt(6), unit, at), random.nextInt(6) == 0, 0));
    }
    return new Steps(steps);
  }

  private static List<Instant> happens(Entry entry, Steps steps, SeriesClock clock) {
    List<Instant> left = new ArrayList<>();
    Entry of = entry;
    Instant now = NOW;
    while (true) {
      EntryLook.Next next = EntryLook.at(now, of, steps, NEVER, clock);
      if (next instanceof EntryLook.Later later) {
        now = later.at();
      } else if (next instanceof EntryLook.Due due) {
        left.add(now);
        of = new Entry(due.step().id(), now, now, of.heldUntil(), of.zone(), of.came());
      } else {
        return left;
      }
    }
  }
}
