package app.jemble.core.pace;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.Test;

public class DeadlineTest {

  private static final ZoneId LONDON = ZoneId.of("Europe/London");

  private static Instant london(String wall) {
    return LocalDateTime.parse(wall).atZone(LONDON).toInstant();
  }

  private static Deadline deadline(PlanAsk ask, int people, String wall) {
    return new Deadline(ask, PlannerTest.inLondon(people), london(wall));
  }

  /** 1,000 people, a wave an hour from 09:00 to 17:00: nine waves of 112. */
  @Test
  public void thePaceIsFoundBackwardsFromADay() {
    PlanAsk ask = PlannerTest.from("2026-03-24T09:00:00", new Pace(40, 3600));
    assertThat(deadline(ask, 1000, "2026-03-24T17:00:00").smallestWave())
        .contains(new Pace(112, 3600));
    // 25 waves of 40, so 24 gaps in 8 hours
    assertThat(deadline(ask, 1000, "2026-03-24T17:00:00").largestGap())
        .contains(new Pace(40, 1200));
    // 24 gaps of an hour end on the day's last minute
    assertThat(deadline(ask, 1000, "2026-03-25T17:00:00").latestStart())
        .contains(new Start.At(london("2026-03-24T17:00:00")));
  }

  @Test
  public void whatBindsIsSaidWhenNothingIsInTime() {
    WeeklyHours monday =
        WeeklyHours.on(List.of(DayOfWeek.MONDAY), LocalTime.of(9, 0), LocalTime.of(10, 0));
    PlanAsk tuesday = PlannerTest.from("2026-03-24T09:00:00", Pace.ALL_AT_ONCE);
    Deadline.Miss hours =
        deadline(PlannerTest.with(tuesday, monday, false), 3, "2026-03-27T00:00:00").miss().get();
    assertThat(hours.limits()).containsExactly(Plan.HOURS);
    assertThat(hours.by()).contains(Duration.ofHours(24 * 3 + 8));

    DailyCap cap = new DailyCap("Orla Finch", 10, Map.of());
    PlanAsk capped = PlannerTest.with(tuesday, WeeklyHours.ANY, false, cap);
    assertThat(deadline(capped, 100, "2026-03-27T00:00:00").miss().get().limits())
        .containsExactly("Orla Finch");
    assertThat(deadline(capped, 100, "2026-03-27T00:00:00").smallestWave()).isEmpty();

    DailyCap both = new DailyCap("the workspace", 10, Map.of());
    PlanAsk twice = PlannerTest.with(tuesday, WeeklyHours.ANY, false, cap, both);
    assertThat(deadline(twice, 100, "2026-03-27T00:00:00").miss().get().limits())
        .containsExactly("Orla Finch", "the workspace");

    assertThat(deadline(tuesday, 3, "2026-03-23T00:00:00").miss().get().limits()).isEmpty();
    assertThat(deadline(tuesday, 3, "2026-03-25T00:00:00").miss()).isEmpty();
  }

  /** Against trying every number, one after another; on one clock, where none better may exist. */
  @Test
  public void noBetterAnswerIsFoundByTryingAll() {
    RandomPlans plans = new RandomPlans(21, 600);
    int found = 0;
    for (int c = 0; c < 30; c++) {
      RandomPlans.Case next = plans.next(6);
      int people = next.zones().size();
      Clocks clocks = Clocks.of(Collections.nCopies(people, next.ask().house()));
      Instant by = next.from().plus(Duration.ofHours(30 + 7L * (c % 12)));
      Deadline deadline = new Deadline(next.ask(), clocks, by);

      Optional<Pace> wave = Optional.empty();
      for (int w = people; w >= 1 && meets(next.ask().at(wave(next, w)), clocks, by); w--) {
        wave = Optional.of(wave(next, w));
      }
      assertThat(deadline.smallestWave()).as("case %s: %s", c, next).isEqualTo(wave);

      Optional<Pace> gap = Optional.empty();
      Instant earliest = Instant.ofEpochSecond(next.ask().startIn(next.ask().house()));
      Duration most = Duration.between(earliest, by);
      for (long g = 0; g <= most.toSeconds(); g += 300) {
        Pace pace = new Pace(next.ask().pace().people(), g);
        if (meets(next.ask().at(pace), clocks, by)) {
          gap = Optional.of(pace);
        }
      }
      assertThat(deadline.largestGap().map(p -> p.gapSeconds() / 300))
          .as("case %s: %s", c, next)
          .isEqualTo(gap.map(p -> p.gapSeconds() / 300));
      found += wave.isPresent() ? 1 : 0;
    }
    assertThat(found).isBetween(8, 28);
  }

  private static Pace wave(RandomPlans.Case next, int people) {
    return new Pace(people, next.ask().pace().gapSeconds());
  }

  private static boolean meets(PlanAsk ask, Clocks clocks, Instant by) {
    return Planner.plan(ask, clocks).isDoneBy(by);
  }

  /** On several clocks each answer works, and the next does not. */
  @Test
  public void everyAnswerIsProvedByTheForwardPlan() {
    RandomPlans plans = new RandomPlans(22, 60);
    int proved = 0;
    for (int c = 0; c < 300; c++) {
      RandomPlans.Case next = plans.next(6);
      Clocks clocks = next.clocks();
      Instant by = next.from().plus(Duration.ofHours(40 + c % 60));
      Deadline deadline = new Deadline(next.ask(), clocks, by);
      Optional<Pace> wave = deadline.smallestWave();
      if (wave.isPresent()) {
        assertThat(meets(next.ask().at(wave.get()), clocks, by)).isTrue();
        int smaller = wave.get().people() - 1;
        assertThat(smaller > 0 && meets(next.ask().at(wave(next, smaller)), clocks, by)).isFalse();
        proved++;
      }
      Optional<Start> start = deadline.latestStart();
      if (start.isPresent()) {
        assertThat(meets(next.ask().at(start.get()), clocks, by)).isTrue();
        assertThat(meets(next.ask().at(later(start.get())), clocks, by)).isFalse();
        proved++;
      }
    }
    assertThat(proved).isGreaterThan(200);
  }

  private static Start later(Start start) {
    return start instanceof Start.OwnTime own
        ? new Start.OwnTime(own.wall().plusMinutes(1))
        : new Start.At(((Start.At) start).instant().plus(1, ChronoUnit.MINUTES));
  }
}
