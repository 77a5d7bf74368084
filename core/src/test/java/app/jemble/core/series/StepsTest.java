package app.jemble.core.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jemble.core.series.Steps.Step;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;

/** Editing while it runs, sentence by sentence (domain of series). */
public class StepsTest {

  private static final Wait AT_ONCE = new Wait(0, Wait.Unit.MINUTES, null);

  private static final Step FIRST = step(10, 1, 40);
  private static final Step SECOND = step(20, 2, 40);
  private static final Step THIRD = step(30, 3, 0);
  private static final Step FOURTH = step(40, 4, 0);
  private final Steps steps = new Steps(List.of(FIRST, SECOND, THIRD, FOURTH));

  private static Step step(long id, int place, long had) {
    return new Step(id, place, AT_ONCE, false, had);
  }

  private static Step gone(Step step) {
    return new Step(step.id(), step.place(), step.waits(), true, step.had());
  }

  private static Optional<Long> after(Steps steps, Long passed) {
    return steps.after(passed).map(Step::id);
  }

  @Test
  public void onePutInIsForThoseWhoHaveNotPassedItsPlace() {
    Steps more = steps.with(step(25, 0, 0), 30L);
    assertThat(after(more, 20L)).as("who waits for the third gets it first").contains(25L);
    assertThat(after(more, 10L)).as("who waits for the second").contains(20L);
    assertThat(after(more, 30L)).as("who had the third is past it").contains(40L);
    assertThat(more.live()).extracting(Step::place).containsExactly(1, 2, 3, 4, 5);
  }

  @Test
  public void onePutAtTheEndComesAfterTheLast() {
    Steps more = steps.with(step(50, 0, 0), null);
    assertThat(after(steps, 40L)).as("who had finished").isEmpty();
    assertThat(after(more, 40L)).contains(50L);
  }

  @Test
  public void oneTakenAwayIsPastForAll() {
    Steps less = new Steps(List.of(FIRST, gone(SECOND), THIRD, FOURTH));
    assertThat(after(less, 10L)).as("who waited for it goes on to the next").contains(30L);
    assertThat(after(less, 20L)).as("who had it is where they were").contains(30L);
    assertThat(less.live()).extracting(Step::id).containsExactly(10L, 30L, 40L);
  }

  @Test
  public void orderChangesOnlyAmongStepsNobodyHasHad() {
    Steps turned = steps.inOrder(List.of(10L, 20L, 40L, 30L));
    assertThat(after(turned, 20L)).contains(40L);
    assertThatThrownBy(() -> steps.inOrder(List.of(20L, 10L, 30L, 40L)))
        .isInstanceOf(SeriesException.class)
        .hasMessage("Only steps that nobody has had change their order; step 1 has been had.");
    assertThatThrownBy(() -> steps.inOrder(List.of(10L, 30L, 20L, 40L)))
        .hasMessageContaining("step 2 has been had");
  }

  @Test
  public void anOrderNamesEachStepOnce() {
    assertThatThrownBy(() -> steps.inOrder(List.of(10L, 20L, 40L)))
        .hasMessage("The order names each step once.");
    assertThatThrownBy(() -> steps.inOrder(List.of(10L, 20L, 40L, 40L)))
        .hasMessage("The order names each step once.");
  }

  @Test
  public void stepsThatWereTakenAwayKeepTheirPlaceInAnotherOrder() {
    Steps less = new Steps(List.of(FIRST, gone(SECOND), THIRD, FOURTH));
    Steps turned = less.inOrder(List.of(10L, 40L, 30L));
    assertThat(turned.all()).extracting(Step::id).containsExactly(10L, 20L, 40L, 30L);
    assertThat(after(turned, 20L)).contains(40L);
  }

  @Test
  public void aStepThatTheSeriesNeverHadIsAnError() {
    assertThatThrownBy(() -> steps.after(99L)).hasMessage("The series never had a step 99");
  }

  @Test
  public void whoIsPastAStepThatWasTakenAwayWaitsForTheNext() {
    Wait wait = new Wait(1, Wait.Unit.DAYS, null);
    Steps steps =
        new Steps(
            List.of(
                new Step(7, 1, wait, false, 0),
                new Step(8, 2, wait, true, 0),
                new Step(9, 3, wait, false, 0)));
    assertThat(steps.leadingTo(7)).containsExactly((Long) null);
    assertThat(steps.leadingTo(9)).containsExactly(7L, 8L);
    assertThat(steps.leadingTo(8)).as("nobody waits for what is gone").isEmpty();
  }
}
