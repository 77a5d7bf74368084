package app.jemble.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.check.Finding.Code;
import app.jemble.core.check.Finding.Severity;
import app.jemble.core.merge.Position;
import app.jemble.core.merge.TemplateError;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Values;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class ReleaseCheckTest {

  private static final Instant NOW = Instant.parse("2026-03-24T09:00:00Z");

  @Test
  public void findsNothingInASoundMailing() {
    ReleaseCheck check = new ReleaseCheck();
    check.lookAtTexts("Hello", "<p>Hi</p>", List.of(), List.of());
    check.lookAtStart(NOW.plusSeconds(60), NOW);
    check.add(1, named("Bea"), Set.of(), "Hello");
    assertThat(check.findings()).isEmpty();
  }

  @Test
  public void blockersComeFirstAndSayWhatIsWrong() {
    ReleaseCheck check = new ReleaseCheck();
    check.lookAtTexts(
        " ",
        "<p> </p>",
        List.of(),
        List.of(new TemplateError(new Position(1, 1), "There is no field named “x”.")));
    check.lookAtStart(NOW.minusSeconds(1), NOW);
    assertThat(check.findings())
        .extracting(Finding::code)
        .containsExactly(
            Code.NOBODY, Code.EMPTY_SUBJECT, Code.EMPTY_BODY, Code.TEMPLATE_ERROR, Code.START_PAST);
    assertThat(check.findings()).allMatch(f -> f.severity() == Severity.BLOCKER);
  }

  @Test
  public void aBlankLeftBlocks() {
    ReleaseCheck check = new ReleaseCheck();
    check.lookAtTexts("Come on [day]", "<p>See <b>[place]</b></p>", List.of(), List.of());
    check.add(1, named("Bea"), Set.of(), "x");
    assertThat(check.findings()).extracting(Finding::about).containsExactly("[day]", "[place]");
  }

  @Test
  public void noticesGroupTheirPeople() {
    ReleaseCheck check = new ReleaseCheck();
    check.lookAtTexts("s", "b", List.of(), List.of());
    check.add(1, named("BEA"), Set.of("berth_name"), "s");
    check.add(2, named("Ines"), Set.of("berth_name"), "s".repeat(79));
    List<Finding> findings = check.findings();
    assertThat(findings)
        .extracting(Finding::code)
        .containsExactly(Code.VALUE_MISSING, Code.NAME_CAPITALS, Code.LONG_SUBJECT);
    assertThat(findings.get(0).people()).containsExactly(1L, 2L);
    assertThat(findings.get(0).sentence())
        .isEqualTo("2 people have no berth name; set a fallback, or leave them out.");
    assertThat(findings.get(1).people()).containsExactly(1L);
  }

  @DataProvider
  public Object[][] names() {
    return new Object[][] {
      {"Bea", null},
      {"CARMEN", Code.NAME_CAPITALS},
      {"JJ", null},
      {"dov", Code.NAME_LOWER_CASE},
      {"R2D2", Code.NAME_ODD},
      {"bea@okonjo.example", Code.NAME_ODD},
      {"Zoë <b>O'Neil</b>", Code.NAME_ODD},
      {"さくら", null},
      {"Мария", null},
      {"МАРИЯ", Code.NAME_CAPITALS},
      {"", null},
    };
  }

  @Test(dataProvider = "names")
  public void looksAtNames(String name, Code expected) {
    assertThat(NameCheck.look(name).orElse(null)).isEqualTo(expected);
  }

  private static Values named(String first) {
    return Values.of(Map.of("first_name", FieldValue.text(first)));
  }
}
