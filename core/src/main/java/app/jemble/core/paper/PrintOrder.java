package app.jemble.core.paper;

import app.jemble.core.paper.PostalLines.Postal;
import java.text.CollationKey;
import java.text.Collator;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;

/** In which order sheets are printed. */
public enum PrintOrder {
  /** as the house sorts names */
  NAME,
  /** the own country first, then by country; in each by postcode, and by name where it is one */
  POSTCODE;

  /** What an item is sorted by; keys are made once for each, since comparing texts is slow. */
  private record Sorted<T>(T item, CollationKey country, CollationKey postcode) {}

  /**
   * Sorts what is already in the order of names.
   *
   * @param house where letters are posted
   * @param language of the names of countries
   */
  public <T> List<T> sorted(
      List<T> byName, Function<T, Postal> address, Country house, Locale language) {
    if (this == NAME) {
      return byName;
    }
    Collator collator = Collator.getInstance(language);
    return byName.stream()
        .map(
            item ->
                new Sorted<>(
                    item,
                    collator.getCollationKey(abroad(address.apply(item), house, language)),
                    collator.getCollationKey(address.apply(item).postcode().strip())))
        .sorted(
            Comparator.<Sorted<T>, CollationKey>comparing(Sorted::country)
                .thenComparing(Sorted::postcode))
        .map(Sorted::item)
        .toList();
  }

  private static String abroad(Postal address, Country house, Locale language) {
    return Country.of(address.country())
        .map(country -> country.equals(house) ? "" : country.line(language))
        .orElse(address.country().strip());
  }
}
