package app.jemble.core.record;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.regex.Pattern;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * Java's expressions read these as PostgreSQL's do, but for the bracket of letters and digits,
 * which is written in here as Java has it.
 */
public class ErasedPersonTest {

  private static final List<String> ADDRESSES =
      List.of("a+b.c@d-e.example", "+44 7700 900321", "ab@c");
  private static final List<String> NAMES = List.of("Li Wu", "Margaret", "Ærø Ødegård", "A B");

  @DataProvider
  public Object[][] words() {
    return new Object[][] {
      {"Wrote to A+B.C@D-E.example.", "Wrote to (erased)."},
      {"xa+b.c@d-e.example", "xa+b.c@d-e.example"},
      {"aab.c@d-e.example", "aab.c@d-e.example"},
      {"tel +44 7700 900321, home", "tel (erased), home"},
      {"4+44 7700 9003215", "4+44 7700 9003215"},
      {"Li Wu and Li Wung", "(erased) and Li Wung"},
      {"LI WU", "(erased)"},
      {"Margaret Hill", "Margaret Hill"},
      {"for Ærø Ødegård", "for (erased)"},
      {"A B, ab@c", "A B, ab@c"},
    };
  }

  @Test(dataProvider = "words")
  public void wholeWordsAloneAreFound(String before, String after) {
    String pattern =
        ErasedPerson.pattern(ADDRESSES, NAMES).replace("[[:alnum:]]", "[\\p{L}\\p{Nd}]");
    assertThat(
            Pattern.compile(pattern, Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE)
                .matcher(before)
                .replaceAll(ErasedPerson.NAME))
        .isEqualTo(after);
  }

  @Test
  public void ofNothingNothingIsFound() {
    Pattern pattern = Pattern.compile(ErasedPerson.pattern(List.of("", "  "), List.of("Bo")));
    assertThat(pattern.matcher("anything, Bo").find()).isFalse();
  }

  @Test
  public void changedNamesAreFoundInEveryMixture() {
    assertThat(ErasedPerson.names(List.of("Bea", "Beatrix"), List.of("Hill", "Mole")))
        .containsExactly("Bea Hill", "Bea Mole", "Beatrix Hill", "Beatrix Mole");
    assertThat(ErasedPerson.names(List.of("Bea"), List.of())).isEmpty();
  }
}
