package app.jemble.sending;

import app.jemble.core.pace.QuietHours;
import app.jemble.core.text.StopWords;
import app.jemble.core.text.TextPrices;
import java.math.BigDecimal;
import java.util.List;

/**
 * What the house keeps to where phones ring.
 *
 * @param added words that ask for no more texts, beside those everybody knows
 * @param mostADay what texts may cost on one day of the workspace, in its currency; null: any
 * @param mostAMonth the same of a month
 * @param version counts up with each change
 */
public record PhoneRules(
    QuietHours quiet,
    List<String> added,
    TextPrices prices,
    BigDecimal mostADay,
    BigDecimal mostAMonth,
    int version) {

  public PhoneRules {
    added = List.copyOf(added);
  }

  public StopWords stopWords() {
    return StopWords.with(added);
  }
}
