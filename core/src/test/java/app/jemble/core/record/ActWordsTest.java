package app.jemble.core.record;

import static org.assertj.core.api.Assertions.assertThat;

import org.testng.annotations.Test;

/** The words are those with which the house names its acts. */
public class ActWordsTest {

  @Test
  public void howManyIsNotTold() {
    assertThat(ActWords.withoutCount("Set place to “Umeå” (12 people)"))
        .isEqualTo("Set place to “Umeå”");
    assertThat(ActWords.withoutCount("Archived (1 person)")).isEqualTo("Archived");
    assertThat(ActWords.withoutCount("Corrected the first names of 1,204 people"))
        .isEqualTo("Corrected the first names");
    assertThat(ActWords.withoutCount("Imported members 2026.csv"))
        .isEqualTo("Imported members 2026.csv");
  }
}
