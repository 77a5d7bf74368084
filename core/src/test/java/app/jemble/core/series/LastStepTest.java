package app.jemble.core.series;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.followup.WorkingDays;
import app.jemble.core.pace.NextOpen;
import app.jemble.core.pace.WeeklyHours;
import app.jemble.core.series.Steps.Step;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.testng.annotations.Test;

/** The last step had by a day, solved backwards: each answer is proved forwards. */
public class LastStepTest {

  private static final ZoneId LONDON = ZoneId.of("Europe/London");
  private static final List<ZoneId> ZONES = List.of(LONDON, ZoneId.of("America/St_Johns"));
  private static final Instant NOW = Instant.parse("2026-03-20T10:00:30Z");

  private static SeriesClock clock(boolean own, WeeklyHours hours) {
    return new SeriesClock(
        LONDON, own, new WorkingDays(Set.of(), LONDON), List.of(new NextOpen(hours, Set.of())));
  }

  private static Steps steps(Wait... waits) {
    List<Step> steps = new ArrayList<>();
    for (Wait wait : waits) {
      steps.add(new Step(steps.size() + 1L, steps.size() + 1, wait, false, 0));
    }
    return new Steps(steps);
  }

  @Test
  public void whoComesInTenDaysBeforeHasALastStepOfTenDays() {
    Steps ten =
        steps(new Wait(3, Wait.Unit.DAYS, null), new Wait(7, Wait.Unit.DAYS, LocalTime.of(9, 0)));
    Instant by = Instant.parse("2026-04-20T22:59:59Z");
    assertThat(LastStep.latestEntry(NOW, by, ten, clock(false, WeeklyHours.ANY), List.of(LONDON)))
        .as(
            "the last leaves at nine on 20 April to whoever came in on the 10th, to its last minute")
        .contains(Instant.parse("2026-04-10T22:59:00Z"));
  }

  @Test
  public void whoIsTooLateAlreadyHasNoAnswer() {
    Steps long30 = steps(new Wait(30, Wait.Unit.DAYS, null));
    SeriesClock any = clock(false, WeeklyHours.ANY);
    Instant by = NOW.plus(Duration.ofDays(29));
    assertThat(LastStep.latestEntry(NOW, by, long30, any, ZONES)).isEmpty();
    assertThat(LastStep.of(NOW, new Steps(List.of()), any, LONDON)).isEmpty();
  }

  @Test
  public void everyAnswerIsInTimeAndAMinuteLaterIsNot() {
    Random random = new Random(19);
    for (int i = 0; i < 200; i++) {
      Wait[] waits = new Wait[1 + random.nextInt(4)];
      for (int at = 0; at < waits.length; at++) {
        waits[at] =
            new Wait(
                random.nextInt(5),
                Wait.Unit.values()[random.nextInt(4)],
                random.nextBoolean() ? LocalTime.of(random.nextInt(24), 0) : null);
      }
      WeeklyHours hours =
          random.nextBoolean()
              ? WeeklyHours.ANY
              : WeeklyHours.on(
                  List.of(DayOfWeek.values()), LocalTime.of(8, 0), LocalTime.of(18, 0));
      SeriesClock clock = clock(random.nextBoolean(), hours);
      Steps steps = steps(waits);
      Instant by = NOW.plus(Duration.ofDays(35));
      Instant latest = LastStep.latestEntry(NOW, by, steps, clock, ZONES).orElseThrow();
      assertThat(last(latest, steps, clock)).isBeforeOrEqualTo(by);
      assertThat(last(latest.plusSeconds(60), steps, clock)).isAfter(by);
    }
  }

  private static Instant last(Instant entered, Steps steps, SeriesClock clock) {
    return ZONES.stream()
        .map(zone -> LastStep.of(entered, steps, clock, zone).orElseThrow())
        .max(Instant::compareTo)
        .orElseThrow();
  }
}
