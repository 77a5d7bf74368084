package app.jemble.core.paper;

import app.jemble.core.paper.PostalLines.Postal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Parts an address that was written in one line, or in lines of one cell, by the postcode of its
 * country and where that stands (UPU S42 and its country sheets, from memory). What is not plain is
 * left whole: a wrong part is worse than none.
 */
public final class PostalReading {

  /** Where the postcode stands beside the place. */
  private enum Side {
    BEFORE,
    AFTER
  }

  private record Rule(Side side, String postcode) {}

  private static final String FOUR = "\\d{4}";
  private static final String FIVE = "\\d{5}";

  private static final Map<String, Rule> RULES =
      Map.ofEntries(
          Map.entry("DE", new Rule(Side.BEFORE, FIVE)),
          Map.entry("FR", new Rule(Side.BEFORE, FIVE)),
          Map.entry("ES", new Rule(Side.BEFORE, FIVE)),
          Map.entry("IT", new Rule(Side.BEFORE, FIVE)),
          Map.entry("FI", new Rule(Side.BEFORE, FIVE)),
          Map.entry("AT", new Rule(Side.BEFORE, FOUR)),
          Map.entry("CH", new Rule(Side.BEFORE, FOUR)),
          Map.entry("BE", new Rule(Side.BEFORE, FOUR)),
          Map.entry("DK", new Rule(Side.BEFORE, FOUR)),
          Map.entry("NO", new Rule(Side.BEFORE, FOUR)),
          Map.entry("SE", new Rule(Side.BEFORE, "\\d{3} ?\\d{2}")),
          Map.entry("NL", new Rule(Side.BEFORE, "\\d{4} ?[A-Za-z]{2}")),
          Map.entry("PL", new Rule(Side.BEFORE, "\\d{2}-\\d{3}")),
          Map.entry("PT", new Rule(Side.BEFORE, "\\d{4}-\\d{3}")),
          Map.entry("US", new Rule(Side.AFTER, "\\d{5}(?:-\\d{4})?")),
          Map.entry("CA", new Rule(Side.AFTER, "[A-Za-z]\\d[A-Za-z] ?\\d[A-Za-z]\\d")),
          Map.entry("AU", new Rule(Side.AFTER, FOUR)),
          Map.entry("NZ", new Rule(Side.AFTER, FOUR)),
          Map.entry(
              "GB", new Rule(Side.AFTER, "(?:[A-Za-z]{1,2}\\d[A-Za-z\\d]?|GIR) ?\\d[A-Za-z]{2}")),
          Map.entry("IE", new Rule(Side.AFTER, "[A-Za-z]\\d[\\dWw] ?[A-Za-z\\d]{4}")));

  /** A state or a province, which belongs to the place: "Portland, ME 04101". */
  private static final Pattern STATE = Pattern.compile("[A-Z]{2,3}");

  private static final int MOST_PIECES = 8;

  private PostalReading() {}

  /**
   * Its parts; none when they are not plain.
   *
   * @param written pieces parted by commas or line ends, the country last where there is one
   * @param house the country of an address that names none
   */
  public static Optional<Postal> of(String written, Country house) {
    List<String> pieces =
        new ArrayList<>(
            Arrays.stream(written.split("[,;\\r\\n]+"))
                .map(piece -> piece.replaceAll("\\s+", " ").strip())
                .filter(piece -> !piece.isEmpty())
                .toList());
    if (pieces.isEmpty() || pieces.size() > MOST_PIECES) {
      return Optional.empty();
    }
    String last = pieces.get(pieces.size() - 1);
    Optional<Country> named = pieces.size() > 1 ? Country.of(last) : Optional.empty();
    if (named.isPresent()) {
      pieces.remove(pieces.size() - 1);
    }
    Rule rule = RULES.get(named.orElse(house).code());
    if (rule == null) {
      return Optional.empty();
    }
    String country = named.isPresent() ? last : "";
    return rule.side() == Side.BEFORE
        ? before(pieces, rule, country)
        : after(pieces, rule, country);
  }

  /** "4 Hauptstraße, 12345 Ort", "4 Hauptstraße, 12345, Ort", or all without a comma. */
  private static Optional<Postal> before(List<String> pieces, Rule rule, String country) {
    String code = "(?:[A-Z]{1,3}-)?(" + rule.postcode() + ")";
    int end = pieces.size() - 1;
    Matcher together = Pattern.compile(code + " (\\D.*)").matcher(pieces.get(end));
    if (together.matches()) {
      return whole(pieces.subList(0, end), together.group(1), together.group(2), country);
    }
    if (end > 1) {
      Matcher alone = Pattern.compile(code).matcher(pieces.get(end - 1));
      if (alone.matches()) {
        return whole(pieces.subList(0, end - 1), alone.group(1), pieces.get(end), country);
      }
    }
    Matcher inOne = Pattern.compile("(.*\\D.*) " + code + " (\\D+)").matcher(pieces.get(0));
    return end == 0 && inOne.matches()
        ? whole(List.of(inOne.group(1)), inOne.group(2), inOne.group(3), country)
        : Optional.empty();
  }

  /**
   * "4 Quay Lane, Lowen Quay, TR19 6AB", "4 Quay Lane, Lowen Quay TR19 6AB", "… Portland, ME
   * 04101".
   */
  private static Optional<Postal> after(List<String> pieces, Rule rule, String country) {
    int end = pieces.size() - 1;
    Matcher parted = Pattern.compile("(.*?) ?(" + rule.postcode() + ")").matcher(pieces.get(end));
    if (!parted.matches() || end < 1) {
      return Optional.empty();
    }
    String place = parted.group(1);
    int streets = end;
    if (place.isEmpty() || STATE.matcher(place).matches()) {
      streets = end - 1;
      place = (pieces.get(streets) + " " + place).strip();
    }
    return whole(pieces.subList(0, streets), parted.group(2), place, country);
  }

  private static Optional<Postal> whole(
      List<String> street, String postcode, String place, String country) {
    return street.isEmpty()
        ? Optional.empty()
        : Optional.of(new Postal(String.join("\n", street), postcode, place, country));
  }
}
