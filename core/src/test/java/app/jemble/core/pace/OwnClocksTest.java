package app.jemble.core.pace;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;

/** Nine to twelve in London is night in Halifax and Vancouver, where no phone is to ring. */
public class OwnClocksTest {

  private static final ZoneId LONDON = ZoneId.of("Europe/London");
  private static final ZoneId HALIFAX = ZoneId.of("America/Halifax");
  private static final ZoneId VANCOUVER = ZoneId.of("America/Vancouver");

  private static final WeeklyHours MORNINGS =
      WeeklyHours.on(List.of(DayOfWeek.values()), LocalTime.of(9, 0), LocalTime.of(12, 0));

  private static final PlanAsk ASK = ask(false);

  private static PlanAsk ask(boolean ownClock) {
    PlanAsk mail = PlannerTest.from("2026-11-30T09:00:00", Pace.ALL_AT_ONCE);
    return PlannerTest.quiet(PlannerTest.with(mail, MORNINGS, ownClock));
  }

  private static Instant in(ZoneId zone, String wall) {
    return LocalDateTime.parse(wall).atZone(zone).toInstant();
  }

  private static Optional<Instant> better(PlanAsk ask, Clocks clocks, Instant deadline) {
    return OwnClocks.better(ask, clocks, Planner.plan(ask, clocks), deadline).flatMap(Plan::last);
  }

  /** Clocks go on in Halifax on 14 March 2027, and in London on 28 March (the IANA time zones). */
  @Test
  public void whatWouldWaitForSummerTimeLeavesThatMorning() {
    Clocks clocks = PlannerTest.byText(LONDON, HALIFAX);
    assertThat(Planner.plan(ASK, clocks).last()).contains(in(LONDON, "2027-03-14T11:00:00"));
    assertThat(better(ASK, clocks, null)).contains(in(HALIFAX, "2026-11-30T09:00:00"));
  }

  @Test
  public void whatWouldNeverLeaveLeaves() {
    Clocks clocks = PlannerTest.byText(LONDON, VANCOUVER);
    assertThat(Planner.plan(ASK, clocks).unplanned()).isEqualTo(1);
    assertThat(better(ASK, clocks, null)).contains(in(VANCOUVER, "2026-11-30T09:00:00"));
  }

  @Test
  public void nothingIsProposedWhereItIsNoBetter() {
    assertThat(better(ask(true), PlannerTest.byText(LONDON, HALIFAX), null))
        .as("they are")
        .isEmpty();
    assertThat(better(ASK, PlannerTest.byText(LONDON, LONDON), null)).as("all here").isEmpty();
    ZoneId oslo = ZoneId.of("Europe/Oslo");
    assertThat(better(ASK, PlannerTest.byText(LONDON, oslo), null)).as("an hour").isEmpty();
  }

  /** Half past twelve in London, when its hours are over, is half past eight in Halifax. */
  @Test
  public void aDayToBeDoneByIsReasonEnough() {
    PlanAsk noon =
        PlannerTest.with(
            PlannerTest.from("2026-11-30T12:30:00", Pace.ALL_AT_ONCE), MORNINGS, false);
    Clocks clocks = PlannerTest.byText(HALIFAX);
    assertThat(better(noon, clocks, null)).as("hours sooner").isEmpty();
    Instant tonight = in(LONDON, "2026-11-30T23:59:59");
    assertThat(better(noon, clocks, tonight)).contains(in(HALIFAX, "2026-11-30T09:00:00"));
    assertThat(better(noon, clocks, in(LONDON, "2026-12-01T23:59:59"))).as("met").isEmpty();
    assertThat(better(noon, clocks, in(LONDON, "2026-11-30T12:45:00"))).as("nor so").isEmpty();
  }
}
