package app.jemble.core.pace;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.record.PersonId;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.testng.annotations.Test;

/** Two mailings to one person within a few days. */
public class CollisionsTest {

  private static final ZoneId HOUSE = ZoneId.of("Europe/London");
  private static final Instant START = Instant.parse("2027-03-24T09:00:00Z");

  /** One message a day for three people. */
  private static Plan plan() {
    Clocks clocks = new Clocks();
    for (int i = 0; i < 3; i++) {
      clocks.add(HOUSE);
    }
    return Planner.plan(
        new PlanAsk(
            new Start.At(START),
            START,
            new Pace(1, 86_400),
            WeeklyHours.ANY,
            Set.of(),
            false,
            QuietHours.NONE,
            HOUSE,
            List.of()),
        clocks);
  }

  private static PersonId person(long number) {
    return new PersonId(number);
  }

  private static Collisions others(Duration ofSeven, Duration ofEight) {
    return new Collisions(
        List.of(person(9), person(8), person(7)),
        Map.of(person(7), List.of(START.plus(ofSeven)), person(8), List.of(START.plus(ofEight))));
  }

  @Test
  public void countsFromEachPersonsOwnMessage() {
    // Person 8 has hers after one day, person 7 after two.
    Collisions others = others(Duration.ofDays(4), Duration.ofDays(4));
    assertThat(others.within(2, plan())).containsExactly(person(7));
    assertThat(others.within(3, plan())).containsExactly(person(7), person(8));
  }

  @Test
  public void theEdgeCountsAndOneSecondMoreDoesNot() {
    assertThat(others(Duration.ofDays(5), Duration.ofDays(9)).within(3, plan()))
        .containsExactly(person(7));
    assertThat(others(Duration.ofDays(5).plusSeconds(1), Duration.ofDays(9)).within(3, plan()))
        .isEmpty();
    assertThat(others(Duration.ofDays(-1), Duration.ofDays(9)).within(3, plan()))
        .as("before as after")
        .containsExactly(person(7));
  }

  @Test
  public void ofTwoMessagesToOnePersonOneIsNamed() {
    Collisions twice =
        new Collisions(
            List.of(person(7), person(7), person(7)),
            Map.of(person(7), List.of(START.plus(Duration.ofDays(1)))));
    assertThat(twice.within(1, plan())).containsExactly(person(7));
  }

  @Test
  public void whoWantsNoRestCollidesWithNothing() {
    assertThat(others(Duration.ofDays(2), Duration.ofDays(1)).within(0, plan())).isEmpty();
    assertThat(Collisions.NONE.within(3, plan())).isEmpty();
  }
}
