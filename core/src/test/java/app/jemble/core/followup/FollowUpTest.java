package app.jemble.core.followup;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.followup.FollowUp.Facts;
import app.jemble.core.followup.FollowUp.Judgement;
import app.jemble.core.followup.FollowUp.Outcome;
import app.jemble.core.reach.Reach;
import app.jemble.core.response.ResponseKind;
import app.jemble.core.response.Standing;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class FollowUpTest {

  private static final Set<Standing> NEVER =
      EnumSet.of(Standing.REPLIED, Standing.LEFT, Standing.RETURNED);

  @DataProvider
  public Object[][] meant() {
    return new Object[][] {
      {
        Whom.NO_REPLY,
        EnumSet.of(
            Standing.CLICKED,
            Standing.OPENED,
            Standing.AUTO_REPLIED,
            Standing.MACHINE_OPENED,
            Standing.NOTHING)
      },
      {
        Whom.NOT_OPENED,
        EnumSet.of(Standing.AUTO_REPLIED, Standing.MACHINE_OPENED, Standing.NOTHING)
      },
      {Whom.OPENED, EnumSet.of(Standing.CLICKED, Standing.OPENED)},
      {Whom.CLICKED, EnumSet.of(Standing.CLICKED)},
    };
  }

  @Test(dataProvider = "meant")
  public void whoIsMeant(Whom whom, Set<Standing> standings) {
    assertThat(EnumSet.allOf(Standing.class).stream().filter(whom::means))
        .containsExactlyInAnyOrderElementsOf(standings);
  }

  /** Every combination of what can be known of a person. */
  @Test
  public void nobodyWhoRepliedLeftWasReturnedOrIsLeftOutIsEverFollowedUp() {
    int acted = 0;
    for (Whom whom : Whom.values()) {
      for (Standing thread : Standing.values()) {
        for (Reach reach : Reach.values()) {
          for (boolean excluded : new boolean[] {true, false}) {
            for (boolean toPlace : new boolean[] {true, false}) {
              Judgement judged =
                  FollowUp.judge(whom, new Facts(thread, excluded, reach, false, toPlace));
              boolean may =
                  !NEVER.contains(thread) && !excluded && reach == Reach.READY && !toPlace;
              assertThat(judged.outcome() == Outcome.ACT).isEqualTo(may && whom.means(thread));
              assertThat(judged.words().isEmpty()).isEqualTo(judged.outcome() == Outcome.ACT);
              acted += judged.outcome() == Outcome.ACT ? 1 : 0;
            }
          }
        }
      }
    }
    assertThat(acted).isEqualTo(5 + 3 + 2 + 1);
  }

  @Test
  public void whoeverMayHaveRepliedIsWaitedFor() {
    assertThat(
            FollowUp.judge(
                Whom.NO_REPLY, new Facts(Standing.NOTHING, false, Reach.READY, false, true)))
        .extracting(Judgement::outcome)
        .isEqualTo(Outcome.WAIT);
  }

  @Test
  public void whoeverIsAwayIsWaitedForUnlessTheyAnsweredAllTheSame() {
    assertThat(
            FollowUp.judge(
                Whom.NO_REPLY, new Facts(Standing.AUTO_REPLIED, false, Reach.READY, true, false)))
        .extracting(Judgement::outcome)
        .isEqualTo(Outcome.WAIT);
    assertThat(
            FollowUp.judge(
                Whom.NO_REPLY, new Facts(Standing.REPLIED, false, Reach.READY, true, false)))
        .extracting(Judgement::outcome)
        .isEqualTo(Outcome.NOT);
  }

  @Test
  public void aTaskIsMadeForSomebodyWhoCannotBeWrittenTo() {
    assertThat(
            FollowUp.judge(Whom.NO_REPLY, new Facts(Standing.NOTHING, false, null, false, false)))
        .isEqualTo(Judgement.ACT);
  }

  @Test
  public void theReasonIsTheFirstThatHolds() {
    assertThat(
            FollowUp.judge(
                    Whom.NO_REPLY,
                    new Facts(Standing.REPLIED, true, Reach.DO_NOT_WRITE, true, true))
                .words())
        .isEqualTo("replied in the meantime");
    assertThat(
            FollowUp.judge(
                    Whom.NO_REPLY,
                    new Facts(Standing.OPENED, false, Reach.LEFT_TOPIC, false, false))
                .words())
        .isEqualTo("left this topic");
    assertThat(
            FollowUp.judge(
                    Whom.NOT_OPENED, new Facts(Standing.CLICKED, false, Reach.READY, false, false))
                .words())
        .isEqualTo("clicked, no reply");
  }

  /** Whoever has responded is meant, unless left out. */
  @Test
  public void atOnceForAllButThoseLeftOut() {
    assertThat(FollowUp.atOnce(false).outcome()).isEqualTo(FollowUp.Outcome.ACT);
    assertThat(FollowUp.atOnce(true).outcome()).isEqualTo(FollowUp.Outcome.NOT);
    assertThat(FollowUp.atOnce(true).words()).isEqualTo("is among those left out");
  }

  /** Every response of a person is a sign, what software did is none, and no response is two. */
  @Test
  public void signsPartTheResponsesOfPeople() {
    List<ResponseKind> all =
        Stream.of(Sign.values()).flatMap(sign -> sign.kinds().stream()).toList();
    assertThat(all)
        .doesNotHaveDuplicates()
        .containsExactlyInAnyOrderElementsOf(
            Stream.of(ResponseKind.values())
                .filter(kind -> !kind.name().startsWith("MACHINE"))
                .toList());
    assertThat(Sign.RETURNED.kinds())
        .containsExactlyInAnyOrder(ResponseKind.RETURNED_HARD, ResponseKind.RETURNED_SOFT);
    assertThat(Sign.CLICKED.words()).isEqualTo("follows a link");
    assertThat(Stream.of(Whom.values()).map(Whom::words)).doesNotHaveDuplicates();
    assertThat(Whom.NOT_OPENED.words()).isEqualTo("Not opened");
  }

  /** An answer to the first of three messages is an answer. */
  @Test
  public void aThreadStandsWhereItsFurthestMessageStands() {
    assertThat(Standing.strongest(List.of(Standing.NOTHING, Standing.REPLIED, Standing.OPENED)))
        .isEqualTo(Standing.REPLIED);
    assertThat(Standing.strongest(List.of(Standing.MACHINE_OPENED, Standing.AUTO_REPLIED)))
        .isEqualTo(Standing.AUTO_REPLIED);
    assertThat(Standing.strongest(List.of())).isEqualTo(Standing.NOTHING);
  }
}
