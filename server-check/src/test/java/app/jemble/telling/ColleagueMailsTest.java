package app.jemble.telling;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.signup.ReaderLanguage;
import app.jemble.page.ShippedWords;
import java.text.Format;
import java.text.MessageFormat;
import java.util.Arrays;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The words by which colleagues are told something ship whole in each language. */
public class ColleagueMailsTest {

  /** Reads a pattern as a value: an apostrophe would hide what stands after it. */
  private static final Pattern PLACE = Pattern.compile("\\{\\d");

  @DataProvider
  public Object[] languages() {
    return ReaderLanguage.values();
  }

  @Test(dataProvider = "languages")
  public void nothingIsMissingAndNoValueIsLost(ReaderLanguage language) {
    Map<String, String> english = ShippedWords.of("telling.words", ReaderLanguage.EN);
    Map<String, String> words = ShippedWords.of("telling.words", language);
    assertThat(words.keySet()).isEqualTo(english.keySet());
    words.forEach(
        (key, pattern) -> {
          Format[] values = new MessageFormat(pattern, Locale.ROOT).getFormatsByArgumentIndex();
          int most =
              new MessageFormat(english.get(key), Locale.ROOT).getFormatsByArgumentIndex().length;
          assertThat(values.length).as(key).isLessThanOrEqualTo(most);
          assertThat(PLACE.matcher(english.get(key)).results().count())
              .as(key)
              .isEqualTo(PLACE.matcher(pattern).results().count());
          Object[] given = new Object[most];
          Arrays.fill(given, 1234);
          assertThat(new MessageFormat(pattern, Locale.ROOT).format(given))
              .doesNotContain("{", "}", "''");
          assertThat(pattern).as(key).isNotBlank().doesNotContain("'");
        });
  }

  /** Groups of digits as CLDR has them. */
  @Test
  public void numbersAreWrittenAsTheLanguageDoes() {
    assertThat(ColleagueMails.words(ReaderLanguage.EN, "gone.sent", 1412)).isEqualTo("1,412 sent");
    assertThat(ColleagueMails.words(ReaderLanguage.DE, "gone.sent", 1412))
        .isEqualTo("1.412 gesendet");
  }

  /** What a person is called is a value, never a pattern. */
  @Test
  public void aNameThatLooksLikeAPatternStandsAsItIs() {
    assertThat(ColleagueMails.words(ReaderLanguage.FR, "rule.subject", "{0} l'été", "<b>{1}</b>"))
        .isEqualTo("«\u00a0{0} l'été\u00a0»\u00a0: <b>{1}</b>");
  }
}
