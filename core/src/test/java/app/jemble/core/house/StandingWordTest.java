package app.jemble.core.house;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.house.StandingWord.About;
import app.jemble.core.record.Related;
import java.util.List;
import org.testng.annotations.Test;

public class StandingWordTest {

  private static final List<StandingWord> WORDS =
      List.of(
          new StandingWord("guest", true, true, ""),
          new StandingWord("current", false, true, ""),
          new StandingWord("past", false, true, ""));

  @Test
  public void thoseThatAreGivenComeFirst() {
    assertThat(StandingWord.names(WORDS)).containsExactly("current", "past", "guest");
    assertThat(StandingWord.retired(WORDS)).containsExactly("guest");
    assertThat(StandingWord.given(WORDS)).containsExactly("current", "past");
  }

  @Test
  public void aNameIsOneOfItsOwn() {
    assertThat(StandingWord.faultOfName(WORDS, "suspended", null)).isEmpty();
    assertThat(StandingWord.faultOfName(WORDS, "Past", null)).hasValue("“Past” is there already.");
    assertThat(StandingWord.faultOfName(WORDS, "Past", "past")).isEmpty();
    assertThat(StandingWord.faultOfName(WORDS, "past", "current")).isPresent();
    for (String odd : List.of("", "  ", "a,b", "x".repeat(61))) {
      assertThat(StandingWord.faultOfName(WORDS, odd, null)).as(odd).isPresent();
    }
  }

  @Test
  public void theLastStatusIsKeptAndTheLastStageIsNot() {
    List<StandingWord> two =
        List.of(
            new StandingWord("guest", true, true, ""),
            new StandingWord("current", false, true, ""));
    assertThat(StandingWord.faultOfRetiring(About.STATUS, two, "current")).isPresent();
    assertThat(StandingWord.faultOfRetiring(About.STAGE, two, "current")).isEmpty();
    assertThat(StandingWord.faultOfRetiring(About.STATUS, WORDS, "current")).isEmpty();
  }

  @Test
  public void theLastKindOfTaskIsKept() {
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
    assertThat(About.of(null, "stage")).hasValue(About.STAGE);
    assertThat(About.of(null, "plan")).isEmpty();
    assertThat(About.of(null, "kind")).as("of people").isEmpty();
    assertThat(About.of(Related.TASK, "kind")).hasValue(About.TASK);
    assertThat(About.of(Related.EVENT, "name")).as("of events").isEmpty();
    assertThat(About.of(Related.OFFICE, "name")).hasValue(About.OFFICE);
  }

  @Test
  public void groupsStandInTheOrderOfTheirOfficesAndAreTypedAsTheyAre() {
    List<StandingWord> offices =
        List.of(
            new StandingWord("Chair", false, true, "Officers"),
            new StandingWord("Archivist", false, true, ""),
            new StandingWord("Slipway keeper", false, true, "Keepers"),
            new StandingWord("Treasurer", true, true, "Officers"));
    assertThat(StandingWord.groups(offices)).containsExactly("Officers", "Keepers");
    assertThat(StandingWord.groupOf(offices, "officers")).isEqualTo("Officers");
    assertThat(StandingWord.groupOf(offices, "Trustees")).isEqualTo("Trustees");
    assertThat(StandingWord.groupOf(offices, "")).isEmpty();
    assertThat(StandingWord.faultOfGroup("")).isEmpty();
    assertThat(StandingWord.faultOfGroup("a,b")).isPresent();
    assertThat(StandingWord.faultOfGroup("x".repeat(61))).isPresent();
    assertThat(StandingWord.faultOfRenamedGroup(offices, "Officers", "officers")).isEmpty();
    assertThat(StandingWord.faultOfRenamedGroup(offices, "Officers", "keepers"))
        .hasValue("“keepers” is there already.");
    assertThat(StandingWord.faultOfRenamedGroup(offices, "Officers", "")).isPresent();
    assertThat(StandingWord.faultOfRenamedGroup(offices, "Officers", "a,b")).isPresent();
  }
}
