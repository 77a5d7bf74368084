package app.jemble.core.series;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.followup.WorkingDays;
import app.jemble.core.pace.NextOpen;
import app.jemble.core.pace.WeeklyHours;
import app.jemble.core.response.ResponseKind;
import app.jemble.core.series.EntryLook.Due;
import app.jemble.core.series.EntryLook.Entry;
import app.jemble.core.series.EntryLook.Later;
import app.jemble.core.series.EntryLook.Next;
import app.jemble.core.series.EntryLook.Over;
import app.jemble.core.series.Steps.Step;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Set;
import org.testng.annotations.Test;

/** What is next for somebody in a series. */
public class EntryLookTest {

  private static final Wait AT_ONCE = new Wait(0, Wait.Unit.MINUTES, null);
  private static final Ending ON_REPLY = new Ending(true, false, false);

  private static final ZoneId LONDON = ZoneId.of("Europe/London");
  private static final WorkingDays WEEK = new WorkingDays(Set.of(), LONDON);

  private static final SeriesClock ALWAYS =
      new SeriesClock(LONDON, false, WEEK, List.of(new NextOpen(WeeklyHours.ANY, Set.of())));

  /** A Monday. */
  private static final Instant NOW = Instant.parse("2026-06-01T10:00:00Z");

  private static final Step FIRST = new Step(1, 1, AT_ONCE, false, 0);
  private static final Step SECOND = new Step(2, 2, new Wait(2, Wait.Unit.DAYS, null), false, 0);
  private static final Steps STEPS = new Steps(List.of(FIRST, SECOND));

  private static Entry past(Long passed, Instant at, Instant begun) {
    return new Entry(passed, at, begun, null, LONDON, Set.of());
  }

  private static Next look(Entry entry) {
    return EntryLook.at(NOW, entry, STEPS, ON_REPLY, ALWAYS);
  }

  /** The same where the second step leaves at once. */
  private static Next soonAfter(Entry entry) {
    Steps atOnce = new Steps(List.of(FIRST, new Step(2, 2, AT_ONCE, false, 0)));
    return EntryLook.at(NOW, entry, atOnce, ON_REPLY, ALWAYS);
  }

  @Test
  public void whoCameInIsDueTheFirstStep() {
    assertThat(look(past(null, NOW, NOW))).isEqualTo(new Due(FIRST));
  }

  @Test
  public void theWaitRunsFromWhenTheStepBeforeLeft() {
    Instant left = NOW.minus(Duration.ofDays(1));
    assertThat(look(past(1L, NOW.minus(Duration.ofDays(5)), left)))
        .isEqualTo(new Later(NOW.plus(Duration.ofDays(1))));
    assertThat(look(past(1L, left, NOW.minus(Duration.ofDays(2))))).isEqualTo(new Due(SECOND));
  }

  @Test
  public void whatHasNotLeftIsLookedForAgainTheLaterTheOlderItIs() {
    assertThat(soonAfter(past(1L, NOW, null))).isEqualTo(new Later(NOW.plusSeconds(5)));
    assertThat(soonAfter(past(1L, NOW.minus(Duration.ofMinutes(8)), null)))
        .isEqualTo(new Later(NOW.plus(Duration.ofMinutes(2))));
    assertThat(soonAfter(past(1L, NOW.minus(Duration.ofDays(3)), null)))
        .isEqualTo(new Later(NOW.plus(Duration.ofMinutes(10))));
    assertThat(look(past(1L, NOW, null)))
        .as("if it left now, the next would be due in two days")
        .isEqualTo(new Later(NOW.plus(Duration.ofDays(2))));
  }

  @Test
  public void whoIsPastTheLastStepHasFinished() {
    assertThat(look(past(2L, NOW, NOW))).isEqualTo(new Over(""));
    assertThat(look(past(2L, NOW, null))).as("also before it has left").isEqualTo(new Over(""));
  }

  @Test
  public void aReplyEndsItWhateverIsWaitedFor() {
    Entry replied = new Entry(1L, NOW, null, null, LONDON, Set.of(ResponseKind.REPLIED));
    assertThat(look(replied)).isEqualTo(new Over("replied"));
  }

  @Test
  public void whoIsHeldGetsNothingBefore() {
    Instant until = NOW.plus(Duration.ofDays(9));
    Entry held = new Entry(1L, NOW, NOW, until, LONDON, Set.of());
    assertThat(look(held)).isEqualTo(new Later(until));
    Entry over = new Entry(null, NOW, NOW, NOW.minusSeconds(1), LONDON, Set.of());
    assertThat(look(over)).isEqualTo(new Due(FIRST));
  }

  @Test
  public void lookedAtLateItLeavesOnlyWhileTheHoursAreOpen() {
    WeeklyHours mornings =
        WeeklyHours.on(List.of(DayOfWeek.values()), LocalTime.of(8, 0), LocalTime.of(9, 0));
    SeriesClock clock =
        new SeriesClock(LONDON, false, WEEK, List.of(new NextOpen(mornings, Set.of())));
    Entry due = past(null, NOW.minus(Duration.ofDays(1)), NOW.minus(Duration.ofDays(1)));
    assertThat(EntryLook.at(NOW, due, STEPS, ON_REPLY, clock))
        .as("11:00 in London: tomorrow at 08:00")
        .isEqualTo(new Later(Instant.parse("2026-06-02T07:00:00Z")));
  }

  @Test
  public void whereNoHourComesItIsLookedAtTomorrow() {
    SeriesClock never =
        new SeriesClock(
            LONDON, false, WEEK, List.of(new NextOpen(new WeeklyHours(List.of()), Set.of())));
    assertThat(EntryLook.at(NOW, past(null, NOW, NOW), STEPS, ON_REPLY, never))
        .isEqualTo(new Later(NOW.plus(Duration.ofDays(1))));
  }

  @Test
  public void onlyTheNextStepIsSentWithoutWaitingAndNotAfterTheEnd() {
    Entry had = past(1L, NOW, NOW);
    assertThat(EntryLook.notNow(had, STEPS, 2, ON_REPLY)).isEmpty();
    assertThat(EntryLook.notNow(had, STEPS, 1, ON_REPLY))
        .contains("Another step is next for them.");
    assertThat(EntryLook.notNow(past(1L, NOW, null), STEPS, 2, ON_REPLY))
        .contains("The step before has not left to them yet.");
    Entry replied = new Entry(1L, NOW, NOW, null, LONDON, Set.of(ResponseKind.REPLIED));
    assertThat(EntryLook.notNow(replied, STEPS, 2, ON_REPLY))
        .contains("The series is over for them: they replied.");
  }
}
