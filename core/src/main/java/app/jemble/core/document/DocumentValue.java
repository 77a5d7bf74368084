package app.jemble.core.document;

import app.jemble.core.record.FieldValue;
import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.temporal.TemporalAccessor;
import java.util.Optional;

/**
 * What stands in a document for a field.
 *
 * @param text as its reader reads it; lines are parted by line feeds; empty when nothing is known
 * @param plain of a date or an instant its ISO 8601 form without a zone, of a number its decimal
 *     digits; empty for words. Pictures of the document's own are applied to it
 */
public record DocumentValue(String text, String plain) {

  public static final DocumentValue NONE = new DocumentValue("", "");

  public static DocumentValue words(String text) {
    return new DocumentValue(text, "");
  }

  /**
   * @param text how the house shows the value
   * @param zone in which instants are read
   */
  public static DocumentValue of(FieldValue value, String text, ZoneId zone) {
    String plain = "";
    if (value instanceof FieldValue.Day day) {
      plain = day.day().toString();
    } else if (value instanceof FieldValue.Moment moment) {
      plain = LocalDateTime.ofInstant(moment.instant(), zone).toString();
    } else if (value instanceof FieldValue.Amount amount) {
      plain = amount.number().toPlainString();
    } else if (value instanceof FieldValue.Money money) {
      plain = money.amount().toPlainString();
    }
    return new DocumentValue(text, plain);
  }

  public boolean saysNothing() {
    return text.isBlank();
  }

  Optional<BigDecimal> number() {
    return number(plain.isEmpty() ? text : plain);
  }

  /** What is written as a plain decimal number. */
  static Optional<BigDecimal> number(String written) {
    String tidy = written.strip();
    if (!tidy.matches("[+-]?\\d{1,30}(\\.\\d{1,30})?")) {
      return Optional.empty();
    }
    return Optional.of(new BigDecimal(tidy));
  }

  Optional<TemporalAccessor> date() {
    try {
      return Optional.of(
          plain.indexOf('T') < 0 ? LocalDate.parse(plain) : LocalDateTime.parse(plain));
    } catch (DateTimeException words) {
      return Optional.empty();
    }
  }
}
