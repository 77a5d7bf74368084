package app.jemble.core.document;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;

/**
 * What an IF field asks (ISO/IEC 29500-1, 17.16.5.22): numbers are compared as numbers, all else as
 * text; in the text after = and <> the signs * and ? stand for any letters and for one.
 *
 * @param left what is compared; a merge field or words
 */
record Condition(List<Piece> left, Operator operator, List<Piece> right) {

  enum Operator {
    EQUAL("="),
    DIFFERENT("<>"),
    BELOW("<"),
    AT_MOST("<="),
    ABOVE(">"),
    AT_LEAST(">=");

    private final String sign;

    Operator(String sign) {
      this.sign = sign;
    }

    static Optional<Operator> of(String sign) {
      for (Operator each : values()) {
        if (each.sign.equals(sign)) {
          return Optional.of(each);
        }
      }
      return Optional.empty();
    }
  }

  Condition {
    left = List.copyOf(left);
    right = List.copyOf(right);
  }

  boolean holds(Filling filling) {
    String one = Words.of(left, filling);
    String other = Words.of(right, filling);
    Optional<BigDecimal> number = number(left, one, filling);
    Optional<BigDecimal> against = number(right, other, filling);
    if (number.isPresent() && against.isPresent()) {
      return accepts(number.get().compareTo(against.get()));
    }
    if ((operator == Operator.EQUAL || operator == Operator.DIFFERENT)
        && (other.indexOf('*') >= 0 || other.indexOf('?') >= 0)) {
      return like(one, other) == (operator == Operator.EQUAL);
    }
    return accepts(one.compareTo(other));
  }

  /** A lone field that holds a number is that number, however it is shown. */
  private static Optional<BigDecimal> number(List<Piece> side, String words, Filling filling) {
    if (side.size() == 1 && side.get(0) instanceof Piece.Merge merge) {
      return filling.of(merge.field()).number();
    }
    return DocumentValue.number(words);
  }

  private boolean accepts(int order) {
    return switch (operator) {
      case EQUAL -> order == 0;
      case DIFFERENT -> order != 0;
      case BELOW -> order < 0;
      case AT_MOST -> order <= 0;
      case ABOVE -> order > 0;
      case AT_LEAST -> order >= 0;
    };
  }

  /** Goes back to the last * alone, so that no pattern takes long. */
  private static boolean like(String text, String pattern) {
    int at = 0;
    int sign = 0;
    int star = -1;
    int from = 0;
    while (at < text.length()) {
      if (sign < pattern.length() && pattern.charAt(sign) == '*') {
        star = sign++;
        from = at;
      } else if (sign < pattern.length()
          && (pattern.charAt(sign) == '?' || pattern.charAt(sign) == text.charAt(at))) {
        sign++;
        at++;
      } else if (star >= 0) {
        sign = star + 1;
        at = ++from;
      } else {
        return false;
      }
    }
    while (sign < pattern.length() && pattern.charAt(sign) == '*') {
      sign++;
    }
    return sign == pattern.length();
  }
}
