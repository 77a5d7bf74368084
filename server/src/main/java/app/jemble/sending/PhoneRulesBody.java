package app.jemble.sending;

import app.jemble.core.pace.QuietHours;
import app.jemble.core.record.Words;
import app.jemble.core.text.StopWords;
import app.jemble.core.text.TextPrices;
import app.jemble.core.text.TextPrices.Price;
import app.jemble.problem.Problem;
import io.swagger.v3.oas.annotations.media.Schema;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalTime;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * The rules.
 *
 * @param quietFrom the first minute of the day in which no phone rings, such as {@code 21:00}
 * @param quietTo the first in which it may; the same: it may always
 * @param alwaysStop words that ask for no more texts, whatever is added
 * @param stopWords those that the house adds
 * @param mostADay what texts may cost on a day at most; null for any amount, as {@code mostAMonth}
 * @param currency of all amounts (ISO 4217); not read
 * @param version counts up with each change
 */
record PhoneRulesBody(
    String quietFrom,
    String quietTo,
    List<String> alwaysStop,
    List<String> stopWords,
    List<PriceBody> prices,
    @Schema(nullable = true) BigDecimal mostADay,
    @Schema(nullable = true) BigDecimal mostAMonth,
    String currency,
    int version) {
  private static final int MOST_PRICES = 500;
  private static final int MOST_WORDS = 100;
  private static final int LONGEST = 100;
  private static final int PLACES = 4;
  private static final BigDecimal MOST_MONEY = new BigDecimal("1000000");

  /** What a part costs to numbers that begin so, without the plus. */
  record PriceBody(String prefix, String where, BigDecimal each) {}

  static PhoneRulesBody of(PhoneRules now, String currency) {
    return new PhoneRulesBody(
        now.quiet().from().toString(),
        now.quiet().to().toString(),
        StopWords.ALWAYS.stream().sorted().toList(),
        now.added(),
        now.prices().prices().stream()
            .sorted(Comparator.comparing(Price::where).thenComparing(Price::prefix))
            .map(p -> new PriceBody(p.prefix(), p.where(), p.each()))
            .toList(),
        now.mostADay(),
        now.mostAMonth(),
        currency,
        now.version());
  }

  /** What is kept of it; a problem at the first that cannot be. */
  PhoneRules rules() {
    return new PhoneRules(
        new QuietHours(time("quietFrom", quietFrom), time("quietTo", quietTo)),
        words(stopWords),
        new TextPrices(prices(prices)),
        money("mostADay", mostADay),
        money("mostAMonth", mostAMonth),
        version);
  }

  private static LocalTime time(String field, String text) {
    if (text == null || !text.matches("([01]\\d|2[0-3]):[0-5]\\d")) {
      throw Problem.wrong(field, "Write a time of day such as 21:00.");
    }
    return LocalTime.parse(text);
  }

  private static List<String> words(List<String> given) {
    List<String> words = Words.each(given);
    if (words.size() > MOST_WORDS || words.stream().anyMatch(w -> w.length() > LONGEST)) {
      throw Problem.wrong("stopWords", "At most 100 words, of at most 100 characters each.");
    }
    return words;
  }

  private static List<Price> prices(List<PriceBody> given) {
    if (given == null || given.size() > MOST_PRICES || given.contains(null)) {
      throw Problem.wrong("prices", "At most 500 prices.");
    }
    Set<String> known = new HashSet<>();
    given.forEach(
        price -> {
          if (!known.add(price.prefix())) {
            throw Problem.wrong(
                "prices", "Numbers that begin with " + price.prefix() + " have two prices.");
          }
        });
    return given.stream().map(PhoneRulesBody::price).toList();
  }

  private static Price price(PriceBody price) {
    boolean named =
        price.where() != null && !price.where().isBlank() && price.where().length() <= LONGEST;
    if (price.prefix() == null || !price.prefix().matches("[1-9]\\d{0,6}") || !named) {
      throw Problem.wrong(
          "prices", "A price has a place and how its numbers begin, such as 44, without the plus.");
    }
    return new Price(price.prefix(), price.where().strip(), money("prices", price.each()));
  }

  private static BigDecimal money(String field, BigDecimal amount) {
    if (amount == null) {
      if (field.equals("prices")) {
        throw Problem.wrong(field, "Say what a part costs.");
      }
      return null;
    }
    if (amount.signum() < 0 || amount.compareTo(MOST_MONEY) > 0) {
      throw Problem.wrong(field, "An amount is between 0 and 1,000,000.");
    }
    return amount.setScale(PLACES, RoundingMode.HALF_UP);
  }
}
