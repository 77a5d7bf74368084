package app.jemble.core.merge;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.record.YardFields;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Property: no text makes the reading of templates throw, or take long. */
public class RandomTemplatesTest {

  @Test
  public void noTextThrowsOrTakesLong() {
    assertThat(new RandomTemplates(20261127).read(20_000)).isLessThan(200);
  }

  @DataProvider
  public Object[][] tooMuch() {
    return new Object[][] {
      {"x".repeat(1_000_001), "at most a million characters"},
      {"{{first_name}}".repeat(10_001), "at most 10,000 merge fields"},
      {"{{#first_name}}".repeat(30_000), "at most 20 deep"},
      {"{{" + "x".repeat(2_000) + "}}", "at most 1,000 characters"},
    };
  }

  @Test(dataProvider = "tooMuch")
  public void howMuchIsTooMuchIsSaid(String text, String sentence) {
    TemplateParser.Parsed parsed =
        TemplateParser.parse(text, TemplateParser.Kind.HTML, YardFields.standard());
    assertThat(parsed.template()).isEmpty();
    assertThat(parsed.errors()).hasSizeLessThanOrEqualTo(60);
    assertThat(parsed.errors().stream().map(TemplateError::sentence))
        .anyMatch(e -> e.contains(sentence));
  }
}
