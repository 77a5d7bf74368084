package app.jemble.core.occasion;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.occasion.TurnState.Decision;
import java.util.Arrays;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What can be decided of a turn, and what it becomes. */
public class TurnStateTest {

  @DataProvider
  public Object[][] decisions() {
    return new Object[][] {
      {Decision.NOD, List.of(TurnState.AWAITS), TurnState.NODDED},
      {Decision.NOT_YET, List.of(TurnState.NODDED), TurnState.AWAITS},
      {Decision.LATE, List.of(TurnState.MISSED), TurnState.SENT},
      {
        Decision.LET_GO,
        List.of(TurnState.AWAITS, TurnState.NODDED, TurnState.MISSED),
        TurnState.LET_GO
      },
    };
  }

  @Test(dataProvider = "decisions")
  public void aDecisionIsOfTheseAndOfNoOthers(
      Decision decision, List<TurnState> of, TurnState becomes) {
    assertThat(Arrays.stream(TurnState.values()).filter(decision::isOf))
        .containsExactlyElementsOf(of);
    assertThat(decision.from()).containsExactlyInAnyOrderElementsOf(of);
    assertThat(decision.to()).isEqualTo(becomes);
  }

  @Test
  public void whatHasLeftIsNotDecidedOnAgain() {
    assertThat(Decision.values())
        .noneMatch(
            d -> d.isOf(TurnState.SENT) || d.isOf(TurnState.TASK) || d.isOf(TurnState.LET_GO));
  }
}
