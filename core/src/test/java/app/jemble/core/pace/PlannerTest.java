package app.jemble.core.pace;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.reach.Channel;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class PlannerTest {

  private static final ZoneId LONDON = ZoneId.of("Europe/London");
  private static final ZoneId NEW_YORK = ZoneId.of("America/New_York");
  private static final List<DayOfWeek> WORKING =
      List.copyOf(EnumSet.range(DayOfWeek.MONDAY, DayOfWeek.FRIDAY));

  private static Instant london(String wall) {
    return LocalDateTime.parse(wall).atZone(LONDON).toInstant();
  }

  static PlanAsk from(String wall, Pace pace) {
    Instant start = london(wall);
    return new PlanAsk(
        new Start.At(start),
        start,
        pace,
        WeeklyHours.ANY,
        Set.of(),
        false,
        QuietHours.NONE,
        LONDON,
        List.of());
  }

  static PlanAsk with(PlanAsk ask, WeeklyHours hours, boolean ownClock, DailyCap... caps) {
    return new PlanAsk(
        ask.start(),
        ask.notBefore(),
        ask.pace(),
        hours,
        ask.daysOff(),
        ownClock,
        ask.quiet(),
        ask.house(),
        List.of(caps));
  }

  static Clocks inLondon(int people) {
    return Clocks.of(Collections.nCopies(people, LONDON));
  }

  /** Common practice; the sum is 9,999 × 15 s. */
  @Test
  public void tenThousandAtOneEveryFifteenSecondsTakeFortyOneHours() {
    Plan plan = Planner.plan(from("2026-01-12T00:00:00", new Pace(1, 15)), inLondon(10_000));
    assertThat(Duration.between(plan.first().get(), plan.last().get()))
        .isEqualTo(Duration.parse("PT41H39M45S"));
    long firstDay =
        plan.hours(LONDON).stream()
            .filter(h -> h.hour().toLocalDate().equals(LocalDate.of(2026, 1, 12)))
            .mapToLong(Plan.Hour::messages)
            .sum();
    assertThat(firstDay).isEqualTo(5760);
  }

  /**
   * The drawing of the run sheet: 1,074 people, 40 every 15 min, mornings, 400 a day of one's own.
   */
  @Test
  public void morningsUnderACapEndOnTheThirdDay() {
    WeeklyHours mornings = WeeklyHours.on(WORKING, LocalTime.of(9, 0), LocalTime.of(12, 0));
    DailyCap own = new DailyCap("Orla Finch", 400, Map.of());
    PlanAsk ask = with(from("2026-03-24T09:00:00", new Pace(40, 900)), mornings, false, own);
    Plan plan = Planner.plan(ask, inLondon(1074));
    assertThat(plan.last()).contains(london("2026-03-26T10:30:00"));
    assertThat(plan.bound())
        .containsEntry(LocalDate.of(2026, 3, 24), Set.of("Orla Finch"))
        .containsEntry(LocalDate.of(2026, 3, 25), Set.of(Plan.HOURS, "Orla Finch"));
    assertThat(plan.hours(LONDON).get(0))
        .isEqualTo(new Plan.Hour(LocalDateTime.parse("2026-03-24T09:00"), 160));
  }

  @Test
  public void whatOthersHoldOfACapIsNotTakenTwice() {
    DailyCap cap = new DailyCap("the workspace", 10, Map.of(LocalDate.of(2026, 3, 24), 7L));
    PlanAsk ask = with(from("2026-03-24T09:00:00", Pace.ALL_AT_ONCE), WeeklyHours.ANY, false, cap);
    Plan plan = Planner.plan(ask, inLondon(5));
    assertThat(plan.of(2)).contains(london("2026-03-24T09:00:00"));
    assertThat(plan.of(3)).contains(london("2026-03-25T00:00:00"));
  }

  @Test
  public void ownTimeIsTheWallClockWhereEachPersonIs() {
    PlanAsk ask = from("2026-03-24T00:00:00", Pace.ALL_AT_ONCE);
    PlanAsk own = ask.at(new Start.OwnTime(LocalDateTime.parse("2026-03-24T09:00")));
    Plan plan = Planner.plan(own, Clocks.of(List.of(NEW_YORK, LONDON)));
    assertThat(plan.of(0)).contains(Instant.parse("2026-03-24T13:00:00Z"));
    assertThat(plan.of(1)).contains(Instant.parse("2026-03-24T09:00:00Z"));
    assertThat(plan.first()).contains(Instant.parse("2026-03-24T09:00:00Z"));
  }

  /** A wave takes the first in the audience's order who may receive, not the first at all. */
  @Test
  public void whoIsAsleepIsPassedOverAndComesFirstLater() {
    WeeklyHours hours = WeeklyHours.on(WORKING, LocalTime.of(9, 0), LocalTime.of(17, 0));
    PlanAsk ask = with(from("2026-03-24T12:50:00", new Pace(1, 600)), hours, true);
    Plan plan = Planner.plan(ask, Clocks.of(List.of(NEW_YORK, LONDON, LONDON, NEW_YORK)));
    assertThat(plan.of(1)).contains(london("2026-03-24T12:50:00"));
    assertThat(plan.of(0)).contains(london("2026-03-24T13:00:00"));
    assertThat(plan.of(2)).contains(london("2026-03-24T13:10:00"));
    assertThat(plan.of(3)).contains(london("2026-03-24T13:20:00"));
  }

  /** London, 25 October 2026: 01:00 to 02:00 comes twice; 29 March 2026 it does not come. */
  @DataProvider
  public Object[][] nightHours() {
    return new Object[][] {
      {"2026-10-25T00:00:00", 8, "2026-10-25T01:45:00Z", "both passes of the hour are open"},
      {"2026-10-25T00:00:00", 9, "2026-10-26T01:00:00Z", "and no more than both"},
      {"2026-03-29T00:00:00", 1, "2026-03-30T00:00:00Z", "the hour that is skipped is not open"},
    };
  }

  @Test(dataProvider = "nightHours")
  public void hoursFollowTheClockWhenItChanges(String start, int people, String last, String why) {
    WeeklyHours night =
        WeeklyHours.on(List.of(DayOfWeek.values()), LocalTime.of(1, 0), LocalTime.of(2, 0));
    PlanAsk ask = with(from(start, new Pace(1, 900)), night, false);
    assertThat(Planner.plan(ask, inLondon(people)).last()).as(why).contains(Instant.parse(last));
  }

  @Test
  public void holidaysAreLeftOut() {
    PlanAsk ask = from("2026-12-25T10:00:00", Pace.ALL_AT_ONCE);
    PlanAsk off =
        new PlanAsk(
            ask.start(),
            ask.notBefore(),
            ask.pace(),
            ask.hours(),
            Set.of(LocalDate.of(2026, 12, 25), LocalDate.of(2026, 12, 26)),
            false,
            QuietHours.NONE,
            LONDON,
            List.of());
    Plan plan = Planner.plan(off, inLondon(1));
    assertThat(plan.last()).contains(london("2026-12-27T00:00:00"));
    assertThat(plan.bound()).containsKey(LocalDate.of(2026, 12, 25));
  }

  static Clocks byText(ZoneId... zones) {
    Clocks clocks = new Clocks();
    List.of(zones).forEach(zone -> clocks.add(zone, Channel.TEXT));
    return clocks;
  }

  static PlanAsk quiet(PlanAsk ask) {
    return new PlanAsk(
        ask.start(),
        ask.notBefore(),
        ask.pace(),
        ask.hours(),
        ask.daysOff(),
        ask.ownClock(),
        QuietHours.USUAL,
        ask.house(),
        ask.caps());
  }

  /** 21:00 to 8:00; the mailing's own hours are anybody's. */
  @Test
  public void phonesDoNotRingAtNightWhereTheirOwnerIsAndMailLeaves() {
    PlanAsk ask = quiet(from("2026-03-24T22:30:00", Pace.ALL_AT_ONCE));
    Clocks clocks = byText(LONDON, NEW_YORK);
    clocks.add(LONDON, Channel.EMAIL);
    Plan plan = Planner.plan(ask, clocks);
    assertThat(plan.of(0)).contains(london("2026-03-25T08:00:00"));
    assertThat(plan.of(1)).as("18:30 in New York").contains(london("2026-03-24T22:30:00"));
    assertThat(plan.of(2)).contains(london("2026-03-24T22:30:00"));
    assertThat(plan.bound()).isEqualTo(Map.of(LocalDate.of(2026, 3, 24), Set.of(Plan.QUIET)));
  }

  /** London, the night of 29 March 2026 has one hour less. */
  @Test
  public void aNightOnWhichClocksChangeEndsByTheClock() {
    PlanAsk ask = quiet(from("2026-03-28T21:00:00", Pace.ALL_AT_ONCE));
    assertThat(Planner.plan(ask, byText(LONDON)).of(0))
        .contains(Instant.parse("2026-03-29T07:00:00Z"));
  }

  @Test
  public void aCapOfOneWayHoldsUpNoOther() {
    DailyCap texts = new DailyCap("the text service", Channel.TEXT, 1, Map.of());
    PlanAsk ask = with(from("2026-03-24T09:00:00", new Pace(1, 60)), WeeklyHours.ANY, false, texts);
    Clocks clocks = byText(LONDON, LONDON);
    clocks.add(LONDON);
    Plan plan = Planner.plan(ask, clocks);
    assertThat(plan.of(0)).contains(london("2026-03-24T09:00:00"));
    assertThat(plan.of(2)).contains(london("2026-03-24T09:01:00"));
    assertThat(plan.of(1)).contains(london("2026-03-25T00:00:00"));
    assertThat(plan.bound())
        .isEqualTo(Map.of(LocalDate.of(2026, 3, 24), Set.of("the text service")));
  }

  @Test
  public void hoursThatLieInTheNightNeverLetAPhoneRing() {
    WeeklyHours late = WeeklyHours.on(WORKING, LocalTime.of(21, 30), LocalTime.of(23, 0));
    PlanAsk ask = quiet(with(from("2026-03-24T09:00:00", new Pace(1, 1)), late, true));
    assertThat(Planner.plan(ask, byText(LONDON)).unplanned()).isEqualTo(1);
    assertThat(Planner.plan(ask, inLondon(1)).unplanned()).isZero();
    Deadline.Miss miss =
        new Deadline(ask, byText(LONDON), london("2026-03-27T00:00:00")).miss().get();
    assertThat(miss.limits()).containsExactly(Plan.HOURS, Plan.QUIET);
  }

  @Test
  public void limitsThatNeverLetGoAreSaid() {
    PlanAsk ask = from("2026-12-25T10:00:00", new Pace(1, 1));
    assertThat(Planner.plan(with(ask, new WeeklyHours(List.of()), false), inLondon(3)).unplanned())
        .isEqualTo(3);
    DailyCap none = new DailyCap("Orla Finch", 0, Map.of());
    assertThat(Planner.plan(with(ask, WeeklyHours.ANY, false, none), inLondon(3)).unplanned())
        .isEqualTo(3);
  }

  @Test
  public void secondBySecondComesToTheSame() {
    agree(new RandomPlans(7, 1), 1, 2, 20);
  }

  @Test
  public void minuteByMinuteOverTwoWeeksComesToTheSame() {
    agree(new RandomPlans(8, 60), 60, 14, 300);
  }

  private static void agree(RandomPlans plans, int step, int days, int cases) {
    int planned = 0;
    int apart = 0;
    for (int c = 0; c < cases; c++) {
      RandomPlans.Case next = plans.next(days);
      Instant to = next.from().plus(Duration.ofDays(days + 1));
      Instant[] slow = SecondBySecond.plan(next, to, step);
      Plan plan = Planner.plan(next.ask(), next.clocks());
      Set<Instant> instants = new HashSet<>();
      for (int i = 0; i < slow.length; i++) {
        Instant fast = plan.of(i).filter(at -> at.isBefore(to)).orElse(null);
        assertThat(fast).as("case %s, person %s of %s", c, i, next).isEqualTo(slow[i]);
        planned += fast == null ? 0 : 1;
        instants.add(slow[i]);
      }
      apart += instants.size() > 1 ? 1 : 0;
    }
    assertThat(planned).as("messages that leave in time").isGreaterThan(cases * 2);
    assertThat(apart).as("plans of more than one instant").isGreaterThan(cases / 3);
  }

  @Test
  public void theHoursOfAPlanAddUp() {
    RandomPlans plans = new RandomPlans(9, 60);
    for (int c = 0; c < 200; c++) {
      RandomPlans.Case next = plans.next(10);
      Plan plan = Planner.plan(next.ask(), next.clocks());
      ZoneId house = next.ask().house();
      List<LocalDateTime> expected = new ArrayList<>();
      for (int i = 0; i < next.zones().size(); i++) {
        plan.of(i).ifPresent(at -> expected.add(LocalDateTime.ofInstant(at, house).withMinute(0)));
      }
      List<LocalDateTime> told = new ArrayList<>();
      for (Plan.Hour hour : plan.hours(house)) {
        told.addAll(Collections.nCopies((int) hour.messages(), hour.hour()));
      }
      Collections.sort(expected);
      assertThat(told).isEqualTo(expected);
      assertThat(plan.unplanned()).isEqualTo(next.zones().size() - told.size());
    }
  }
}
