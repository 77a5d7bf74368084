package app.jemble.core.house;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.house.SetUpStep.Facts;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.testng.annotations.Test;

/** A house is led from step to step, can leave each for later, and is let alone in the end. */
public class SetUpStepTest {

  private static final Facts NEW = new Facts(false, false, false, false, false, 0, 1);
  private static final Facts DONE = new Facts(true, true, true, true, true, 1, 2);

  @Test
  public void aNewHouseHasEverythingBeforeIt() {
    for (SetUpStep step : SetUpStep.values()) {
      assertThat(step.isDone(NEW)).as(step.name()).isFalse();
      assertThat(step.isDone(DONE)).as(step.name()).isTrue();
    }
    assertThat(SetUpStep.next(NEW, Set.of())).contains(SetUpStep.HOUSE);
    assertThat(SetUpStep.next(DONE, Set.of())).isEmpty();
  }

  @Test
  public void whatIsPutOffIsPassedOver() {
    EnumSet<SetUpStep> putOff = EnumSet.noneOf(SetUpStep.class);
    List<SetUpStep> asked = new ArrayList<>();
    while (SetUpStep.next(NEW, putOff).isPresent()) {
      SetUpStep step = SetUpStep.next(NEW, putOff).get();
      asked.add(step);
      putOff.add(step);
    }
    assertThat(asked).containsExactly(SetUpStep.values());
  }

  @Test
  public void mailNeedsBothWays() {
    assertThat(SetUpStep.MAIL.isDone(new Facts(true, true, false, true, true, 1, 2))).isFalse();
    assertThat(SetUpStep.MAIL.isDone(new Facts(true, false, true, true, true, 1, 2))).isFalse();
  }
}
