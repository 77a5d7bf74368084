package app.jemble.core.text;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jemble.core.text.TextPrices.Price;
import java.math.BigDecimal;
import java.util.List;
import org.testng.annotations.Test;

/** What a part costs by where it goes. */
public class TextPricesTest {

  private static Price price(String prefix, String where, String each) {
    return new Price(prefix, where, new BigDecimal(each));
  }

  private final TextPrices prices =
      new TextPrices(
          List.of(
              price("1", "North America", "0.0080"),
              price("1809", "Dominican Republic", "0.0500"),
              price("44", "United Kingdom", "0.0400")));

  @Test
  public void theLongestPrefixCounts() {
    assertThat(prices.of("+18095550123")).map(Price::where).contains("Dominican Republic");
    assertThat(prices.of("+12025550123")).map(Price::where).contains("North America");
    assertThat(prices.of("+447700900123")).map(Price::each).contains(new BigDecimal("0.0400"));
  }

  @Test
  public void whereTheTableHasNoneNobodyKnows() {
    assertThat(prices.of("+4915112345678")).isEmpty();
  }

  @Test
  public void aRowIsAPrefixAndNoNegativePrice() {
    assertThatThrownBy(() -> price("+44", "", "1")).isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> price("44", "", "-1")).isInstanceOf(IllegalArgumentException.class);
  }
}
