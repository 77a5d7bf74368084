package app.jemble.core.merge;

import app.jemble.core.record.FieldValue;
import java.math.BigDecimal;
import java.text.NumberFormat;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Numbers and money as a language writes them (CLDR, as shipped with the JDK). The formats are made
 * once per language and cloned, since making one costs more than a whole message.
 */
final class ShownNumbers {

  private static final Map<Locale, NumberFormat> MONEY = new ConcurrentHashMap<>();
  private static final Map<Locale, NumberFormat> NUMBER = new ConcurrentHashMap<>();

  private ShownNumbers() {}

  static String money(FieldValue.Money money, Locale locale) {
    NumberFormat format =
        (NumberFormat) MONEY.computeIfAbsent(locale, NumberFormat::getCurrencyInstance).clone();
    format.setCurrency(money.currency());
    int digits = money.currency().getDefaultFractionDigits();
    format.setMinimumFractionDigits(digits);
    format.setMaximumFractionDigits(digits);
    return format.format(money.amount());
  }

  static String number(BigDecimal number, Locale locale) {
    NumberFormat format =
        (NumberFormat) NUMBER.computeIfAbsent(locale, NumberFormat::getInstance).clone();
    format.setMaximumFractionDigits(Math.max(0, number.scale()));
    return format.format(number);
  }
}
