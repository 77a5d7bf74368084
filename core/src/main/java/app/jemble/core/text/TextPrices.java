package app.jemble.core.text;

import java.math.BigDecimal;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What a part of a text message costs by where it goes: the administrator's table of E.164
 * prefixes, the longest that fits counts.
 */
public record TextPrices(List<Price> prices) {

  /**
   * A row of the table.
   *
   * @param prefix digits that numbers begin with, without the plus, such as "44"
   * @param where as people call it, such as "United Kingdom"
   * @param each of a part, in the workspace's currency
   */
  public record Price(String prefix, String where, BigDecimal each) {
    public Price {
      if (!prefix.matches("[1-9]\\d{0,6}")) {
        throw new IllegalArgumentException("A prefix is 1 to 7 digits, such as 44.");
      }
      if (each.signum() < 0) {
        throw new IllegalArgumentException("A price is not negative.");
      }
    }
  }

  public TextPrices {
    prices =
        prices.stream()
            .sorted(Comparator.comparingInt((Price p) -> p.prefix().length()).reversed())
            .toList();
  }

  /**
   * The row that counts for a number.
   *
   * @param number E.164 with its plus
   * @return empty where the table has none: nobody knows what it costs
   */
  public Optional<Price> of(String number) {
    String digits = number.startsWith("+") ? number.substring(1) : number;
    return prices.stream().filter(p -> digits.startsWith(p.prefix())).findFirst();
  }
}
