package app.jemble.core.paper;

import app.jemble.core.record.Words;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * A country as it stands on record: its code (ISO 3166-1), or its name in one of the languages that
 * people write it in here (CLDR, as the JDK ships it).
 *
 * @param code two letters, ISO 3166-1 alpha-2
 */
public record Country(String code) {

  private static final List<Locale> LANGUAGES =
      List.of(
          Locale.ENGLISH,
          Locale.GERMAN,
          Locale.FRENCH,
          Locale.forLanguageTag("es"),
          Locale.ITALIAN,
          Locale.forLanguageTag("pt"),
          Locale.forLanguageTag("nl"),
          Locale.forLanguageTag("nb"),
          Locale.forLanguageTag("sv"),
          Locale.forLanguageTag("da"),
          Locale.forLanguageTag("fi"),
          Locale.forLanguageTag("pl"),
          Locale.forLanguageTag("hu"));

  /** What people write besides (common practice). */
  private static final Map<String, String> ALSO =
      Map.of(
          "uk",
          "GB",
          "great britain",
          "GB",
          "england",
          "GB",
          "scotland",
          "GB",
          "wales",
          "GB",
          "usa",
          "US",
          "u s a",
          "US",
          "holland",
          "NL",
          "eire",
          "IE");

  private static final Map<String, String> BY_NAME = new HashMap<>();

  static {
    for (String code : Locale.getISOCountries()) {
      Locale country = new Locale.Builder().setRegion(code).build();
      LANGUAGES.forEach(language -> BY_NAME.put(key(country.getDisplayCountry(language)), code));
      BY_NAME.put(key(code), code);
    }
    BY_NAME.putAll(ALSO);
  }

  /** Empty where nothing is written, or nothing that is known. */
  public static Optional<Country> of(String written) {
    return Optional.ofNullable(BY_NAME.get(key(written))).map(Country::new);
  }

  private static String key(String written) {
    return Words.fold(written).replaceAll("[^\\p{L}]+", " ").strip();
  }

  /** Its name as the last line of an address that goes abroad. */
  public String line(Locale language) {
    return new Locale.Builder()
        .setRegion(code)
        .build()
        .getDisplayCountry(language)
        .toUpperCase(language);
  }
}
