package app.jemble.core.check;

import app.jemble.core.check.Finding.Code;
import app.jemble.core.check.Finding.Severity;
import app.jemble.core.record.PersonId;
import app.jemble.core.text.LargerAlphabet;
import app.jemble.core.text.LargerAlphabet.Forcing;
import app.jemble.core.text.TextParts;
import app.jemble.core.text.TextPrices;
import app.jemble.core.text.TextPrices.Price;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * What the text messages of a mailing come to: every person's is added, then the sums and the
 * findings are asked for.
 */
public final class TextCheck {

  /** More than so many parts are a letter (common practice). */
  public static final int MANY_PARTS = 3;

  /** Nobody looks through more of them. */
  private static final int MOST_CHARACTERS = 10;

  private final TextPrices prices;
  private final String written;
  private final Map<Price, long[]> places = new LinkedHashMap<>();
  private final Map<Forcing, List<PersonId>> forcing = new LinkedHashMap<>();
  private final List<PersonId> unpriced = new ArrayList<>();
  private final List<PersonId> lengthy = new ArrayList<>();
  private long texts;
  private long parts;
  private LongestText worst;

  /**
   * @param words what is written, before anything is merged in: a character that stands there is
   *     everybody's, and nobody's own
   */
  public TextCheck(TextPrices prices, String words) {
    this.prices = prices;
    this.written = words;
  }

  /** The longest text of all. */
  public record LongestText(PersonId personId, int units, int parts) {}

  /** What goes to one place of the price table. */
  public record PlaceCost(String where, long texts, long parts, BigDecimal cost) {}

  /** A character that makes texts longer, and in how many. */
  public record LongerText(String character, String likeness, long people) {}

  /**
   * What all come to.
   *
   * @param worst the longest; null when there is none
   * @param places those with most parts first
   * @param unpriced how many go where the price table has no price
   * @param cost of all whose price is known, in the workspace's currency
   */
  public record TextSum(
      long texts,
      long parts,
      LongestText worst,
      List<PlaceCost> places,
      long unpriced,
      BigDecimal cost,
      List<LongerText> longer) {
    public TextSum {
      places = List.copyOf(places);
      longer = List.copyOf(longer);
    }
  }

  /**
   * Adds one person's text.
   *
   * @param number E.164
   */
  public void add(PersonId person, String number, String words) {
    TextParts text = TextParts.of(words);
    texts++;
    parts += text.count();
    if (worst == null || isWorse(text)) {
      worst = new LongestText(person, text.units(), text.count());
    }
    if (text.count() > MANY_PARTS) {
      lengthy.add(person);
    }
    Optional<Price> price = prices.of(number);
    if (price.isPresent()) {
      long[] sum = places.computeIfAbsent(price.get(), p -> new long[2]);
      sum[0]++;
      sum[1] += text.count();
    } else {
      unpriced.add(person);
    }
    for (Forcing character : LargerAlphabet.in(words)) {
      forcing.computeIfAbsent(character, f -> new ArrayList<>()).add(person);
    }
  }

  private boolean isWorse(TextParts text) {
    return text.count() > worst.parts()
        || (text.count() == worst.parts() && text.units() > worst.units());
  }

  public TextSum sum() {
    List<PlaceCost> to = new ArrayList<>();
    places.forEach(
        (price, sum) ->
            to.add(
                new PlaceCost(
                    price.where(),
                    sum[0],
                    sum[1],
                    price.each().multiply(BigDecimal.valueOf(sum[1])))));
    to.sort((a, b) -> Long.compare(b.parts(), a.parts()));
    BigDecimal cost = to.stream().map(PlaceCost::cost).reduce(BigDecimal.ZERO, BigDecimal::add);
    List<LongerText> longer =
        forcing.entrySet().stream()
            .map(
                e ->
                    new LongerText(
                        e.getKey().character(), e.getKey().likeness(), e.getValue().size()))
            .limit(MOST_CHARACTERS)
            .toList();
    return new TextSum(texts, parts, worst, to, unpriced.size(), cost, longer);
  }

  /** What wants a look before release. */
  public List<Finding> findings() {
    List<Finding> findings = new ArrayList<>();
    forcing.entrySet().stream()
        .limit(MOST_CHARACTERS)
        .forEach(e -> findings.add(larger(e.getKey(), e.getValue())));
    if (!lengthy.isEmpty()) {
      findings.add(
          notice(
              Code.LONG_TEXT,
              "text",
              texts(lengthy.size()) + " of more than " + MANY_PARTS + " parts.",
              lengthy));
    }
    if (!unpriced.isEmpty()) {
      findings.add(
          notice(
              Code.NO_PRICE,
              "text",
              texts(unpriced.size()) + " to a place the price table does not name.",
              unpriced));
    }
    return findings;
  }

  private Finding larger(Forcing character, List<PersonId> who) {
    String likeness =
        character.likeness() == null
            ? ""
            : character.likeness().isEmpty()
                ? " It can be left out."
                : " “" + character.likeness() + "” would not.";
    return notice(
        Code.LARGER_ALPHABET,
        character.character(),
        "“"
            + character.character()
            + "” makes "
            + (who.size() == 1
                ? "one text"
                : String.format(Locale.ENGLISH, "%,d texts", who.size()))
            + " take the larger alphabet, and so more parts."
            + likeness,
        written.contains(character.character()) ? List.of() : who);
  }

  private static String texts(int people) {
    return people == 1
        ? "1 person would get a text"
        : String.format(Locale.ENGLISH, "%,d people would get a text", people);
  }

  private static Finding notice(Code code, String about, String sentence, List<PersonId> people) {
    return new Finding(Severity.NOTICE, code, about, sentence, people);
  }
}
