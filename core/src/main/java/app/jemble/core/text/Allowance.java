package app.jemble.core.text;

import java.math.BigDecimal;
import java.util.Optional;

/**
 * What may still be spent on texts.
 *
 * @param today null where there is no limit, as {@code month}; never below nothing
 */
public record Allowance(BigDecimal today, BigDecimal month) {

  /** What a mailing would be too dear for. */
  public enum Over {
    DAY,
    MONTH
  }

  /**
   * Whether something costs too much: all of it must be within the month, its dearest day within a
   * day.
   */
  public Optional<Over> exceededBy(BigDecimal all, BigDecimal dearestDay) {
    if (month != null && all.compareTo(month) > 0) {
      return Optional.of(Over.MONTH);
    }
    return today != null && dearestDay.compareTo(today) > 0
        ? Optional.of(Over.DAY)
        : Optional.empty();
  }
}
