package app.jemble.core.house;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.house.StandingWord.About;
import java.util.List;
import org.testng.annotations.Test;

public class StandingWordTest {

  private static final List<StandingWord> WORDS =
      List.of(
          new StandingWord("guest", true, true),
          new StandingWord("current", false, true),
          new StandingWord("past", false, true));

  @Test
  public void thoseThatAreGivenComeFirst() {
    assertThat(StandingWord.names(WORDS)).containsExactly("current", "past", "guest");
    assertThat(StandingWord.retired(WORDS)).containsExactly("guest");
  }

  @Test
  public void aNameIsOneOfItsOwn() {
    assertThat(StandingWord.faultOfName(About.STATUS, WORDS, "suspended", null)).isEmpty();
    assertThat(StandingWord.faultOfName(About.STATUS, WORDS, "Past", null))
        .hasValue("“Past” is there already.");
    assertThat(StandingWord.faultOfName(About.STATUS, WORDS, "Past", "past")).isEmpty();
    assertThat(StandingWord.faultOfName(About.STATUS, WORDS, "past", "current")).isPresent();
    for (String odd : List.of("", "  ", "a,b", "x".repeat(61))) {
      assertThat(StandingWord.faultOfName(About.STATUS, WORDS, odd, null)).as(odd).isPresent();
    }
  }

  @Test
  public void theLastStatusIsKeptAndTheLastStageIsNot() {
    List<StandingWord> two =
        List.of(new StandingWord("guest", true, true), new StandingWord("current", false, true));
    assertThat(StandingWord.faultOfRetiring(About.STATUS, two, "current")).isPresent();
    assertThat(StandingWord.faultOfRetiring(About.STAGE, two, "current")).isEmpty();
    assertThat(StandingWord.faultOfRetiring(About.STATUS, WORDS, "current")).isEmpty();
  }

  @Test
  public void aKindOfTaskIsNoneOfPeopleAndTheLastIsKept() {
    assertThat(StandingWord.faultOfName(About.TASK, WORDS, "Member", null)).isPresent();
    assertThat(StandingWord.faultOfName(About.STAGE, WORDS, "Member", null)).isEmpty();
    assertThat(StandingWord.faultOfRetiring(About.TASK, WORDS.subList(0, 2), "current"))
        .hasValue("A task is of some kind; add another first.");
    assertThat(StandingWord.usual(WORDS)).isEqualTo("current");
  }

  @Test
  public void anOrderHasEachOnce() {
    assertThat(StandingWord.isOrder(WORDS, List.of("past", "guest", "current"))).isTrue();
    assertThat(StandingWord.isOrder(WORDS, List.of("past", "guest"))).isFalse();
    assertThat(StandingWord.isOrder(WORDS, List.of("past", "past", "current"))).isFalse();
  }

  @Test
  public void theirFieldIsKnown() {
    assertThat(About.of("stage")).hasValue(About.STAGE);
    assertThat(About.of("plan")).isEmpty();
    assertThat(About.of("kind")).as("of people").isEmpty();
  }
}
