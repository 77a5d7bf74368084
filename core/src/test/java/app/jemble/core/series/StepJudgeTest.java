package app.jemble.core.series;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.reach.Reach;
import app.jemble.core.response.ResponseKind;
import app.jemble.core.series.StepJudge.Ends;
import app.jemble.core.series.StepJudge.Facts;
import app.jemble.core.series.StepJudge.Leaves;
import app.jemble.core.series.StepJudge.Past;
import app.jemble.core.series.StepJudge.Verdict;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Whether a step leaves, is past, or ends the series, for each thing that can be known. */
public class StepJudgeTest {

  private static final Ending ON_REPLY = new Ending(true, false, false);

  private static final Ending NOTHING = new Ending(false, false, false);
  private static final Ending ALL = new Ending(true, true, true);

  private static Facts facts(Reach reach, Set<ResponseKind> came) {
    return new Facts(reach, came, false, true, false, List.of());
  }

  private static Verdict judge(Set<ResponseKind> came, Ending ending) {
    return StepJudge.judge(facts(Reach.READY, came), ending);
  }

  @Test
  public void whoCanBeWrittenToAndIsMeantGetsIt() {
    assertThat(judge(Set.of(), ALL)).isInstanceOf(Leaves.class);
    assertThat(judge(Set.of(ResponseKind.OPENED, ResponseKind.AUTO_REPLIED), ALL))
        .isInstanceOf(Leaves.class);
    assertThat(judge(Set.of(ResponseKind.MACHINE_CLICKED, ResponseKind.RETURNED_SOFT), ALL))
        .as("software follows links, and a soft return may pass")
        .isInstanceOf(Leaves.class);
  }

  @DataProvider
  public Object[][] always() {
    return new Object[][] {
      {ResponseKind.LEFT, "left the list"},
      {ResponseKind.COMPLAINED, "left the list"},
      {ResponseKind.RETURNED_HARD, "a message came back for good"},
    };
  }

  @Test(dataProvider = "always")
  public void itEndsWhateverWasChosen(ResponseKind came, String why) {
    assertThat(judge(Set.of(came), NOTHING)).isEqualTo(new Ends(why));
  }

  @Test
  public void aReplyALinkAndAFilterEndItByChoice() {
    assertThat(judge(Set.of(ResponseKind.REPLIED), NOTHING)).isInstanceOf(Leaves.class);
    assertThat(judge(Set.of(ResponseKind.REPLIED), ON_REPLY)).isEqualTo(new Ends("replied"));
    assertThat(judge(Set.of(ResponseKind.CLICKED), ON_REPLY)).isInstanceOf(Leaves.class);
    assertThat(judge(Set.of(ResponseKind.CLICKED), ALL)).isEqualTo(new Ends("followed a link"));
    Facts matches = new Facts(Reach.READY, Set.of(), true, true, false, List.of());
    assertThat(StepJudge.judge(matches, NOTHING)).isInstanceOf(Leaves.class);
    assertThat(StepJudge.judge(matches, ALL)).isEqualTo(new Ends("came to match what ends it"));
  }

  @Test
  public void whoMustNotBeWrittenToIsOutAndWhoCannotBeIsPastTheStep() {
    for (Reach reach : EnumSet.complementOf(EnumSet.of(Reach.READY))) {
      boolean ends =
          EnumSet.of(Reach.ASKED_NOT, Reach.LEFT_TOPIC, Reach.DO_NOT_WRITE).contains(reach);
      assertThat(StepJudge.judge(facts(reach, Set.of()), NOTHING))
          .isEqualTo(ends ? new Ends(reach.words()) : new Past(reach.words()));
    }
  }

  @Test
  public void whoIsNotMeantOrWasSkippedOrLacksAValueIsPastTheStep() {
    assertThat(
            StepJudge.judge(new Facts(Reach.READY, Set.of(), false, false, false, List.of()), ALL))
        .isEqualTo(new Past("not among those whom this step is for"));
    assertThat(StepJudge.judge(new Facts(Reach.READY, Set.of(), false, true, true, List.of()), ALL))
        .isEqualTo(new Past("skipped by hand"));
    List<String> missing = List.of("first name", "plan");
    assertThat(StepJudge.judge(new Facts(Reach.READY, Set.of(), false, true, false, missing), ALL))
        .isEqualTo(new Past("has no first name, no plan"));
  }

  @Test
  public void whatEndsItIsAskedBeforeWhatPassesAStep() {
    Facts both =
        new Facts(
            Reach.NO_ADDRESS, Set.of(ResponseKind.REPLIED), false, false, true, List.of("plan"));
    assertThat(StepJudge.judge(both, ALL)).isEqualTo(new Ends("replied"));
  }
}
