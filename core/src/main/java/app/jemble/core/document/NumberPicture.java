package app.jemble.core.document;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.text.DecimalFormatSymbols;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * A picture of a number (ISO/IEC 29500-1, 17.16.4.2): {@code 0} is a digit that is always shown,
 * {@code #} one that may be a blank, {@code x} at the left cuts what is before it, at the right
 * rounds; up to three parts, for what is above, below and at zero.
 */
final class NumberPicture {

  private static final String DIGITS = "0#x";

  private final String picture;
  private final DecimalFormatSymbols symbols;
  private final StringBuilder out = new StringBuilder();

  private NumberPicture(String picture, DecimalFormatSymbols symbols) {
    this.picture = picture;
    this.symbols = symbols;
  }

  static String apply(String picture, BigDecimal number, Locale language) {
    List<String> parts = parts(picture);
    boolean below = number.signum() < 0;
    boolean ownPart = below && parts.size() > 1;
    String part =
        ownPart
            ? parts.get(1)
            : number.signum() == 0 && parts.size() > 2 ? parts.get(2) : parts.get(0);
    NumberPicture written = new NumberPicture(part, DecimalFormatSymbols.getInstance(language));
    return written.write(number.abs(), below && !ownPart);
  }

  private static List<String> parts(String picture) {
    List<String> parts = new ArrayList<>();
    StringBuilder part = new StringBuilder();
    boolean quoted = false;
    for (char c : picture.toCharArray()) {
      quoted ^= c == '\'';
      if (c == ';' && !quoted) {
        parts.add(part.toString());
        part.setLength(0);
      } else {
        part.append(c);
      }
    }
    parts.add(part.toString());
    return parts;
  }

  private String write(BigDecimal number, boolean minus) {
    int point = places('.');
    int wholePlaces = digits(0, point);
    int fractionPlaces = digits(point, picture.length());
    BigDecimal rounded = number.setScale(fractionPlaces, RoundingMode.HALF_UP);
    String[] digits = rounded.toPlainString().split("\\.", -1);
    boolean signed = picture.indexOf('-') >= 0 || picture.indexOf('+') >= 0;
    if (minus && !signed) {
      out.append('-');
    }
    String whole = digits[0].equals("0") ? "" : digits[0];
    whole = cut(whole, point, wholePlaces);
    writeAll(whole, digits.length > 1 ? digits[1] : "", minus);
    return out.toString();
  }

  /** An {@code x} as the first digit drops what is to the left of the picture. */
  private String cut(String whole, int point, int places) {
    int x = picture.indexOf('x');
    return x >= 0 && x < point && whole.length() > places
        ? whole.substring(whole.length() - places)
        : whole;
  }

  private void writeAll(String whole, String fraction, boolean minus) {
    int point = places('.');
    int place = digits(0, point);
    boolean grouped = picture.substring(0, point).indexOf(',') >= 0;
    int shown = 0;
    boolean begun = false;
    for (int at = 0; at < picture.length(); at++) {
      char c = picture.charAt(at);
      if (c == '\'') {
        int end = picture.indexOf('\'', at + 1);
        end = end < 0 ? picture.length() : end;
        out.append(picture, at + 1, end);
        at = end;
      } else if (DIGITS.indexOf(c) >= 0 && at < point) {
        begun = writeWhole(whole, place--, c, begun, grouped);
      } else if (DIGITS.indexOf(c) >= 0) {
        writeFraction(fraction, shown++, c);
      } else if (c == '.' && at == point) {
        out.append(symbols.getDecimalSeparator());
      } else if (c == '-' || c == '+') {
        out.append(minus ? "-" : c == '+' ? "+" : " ");
      } else if (c != ',' || at > point) {
        out.append(c);
      }
    }
  }

  /**
   * @param place how many digits stand to the right of this one, and this one
   * @return whether a digit has been shown
   */
  private boolean writeWhole(String whole, int place, char c, boolean begun, boolean grouped) {
    if (!begun && whole.length() >= place) {
      // What is wider than the picture is not cut.
      for (int left = whole.length(); left >= place; left--) {
        digit(whole.charAt(whole.length() - left), left, grouped);
      }
      return true;
    }
    if (whole.length() >= place) {
      digit(whole.charAt(whole.length() - place), place, grouped);
      return true;
    }
    if (c == '0') {
      digit('0', place, grouped);
      return begun;
    }
    out.append(' ');
    return begun;
  }

  private void digit(char digit, int place, boolean grouped) {
    out.append(digit);
    if (grouped && place > 1 && place % 3 == 1) {
      out.append(symbols.getGroupingSeparator());
    }
  }

  private void writeFraction(String fraction, int place, char c) {
    boolean trailing = fraction.substring(place).chars().allMatch(d -> d == '0');
    out.append(c == '#' && trailing ? ' ' : fraction.charAt(place));
  }

  /** Where a sign stands first outside of quotation marks; the length where it does not. */
  private int places(char sign) {
    boolean quoted = false;
    for (int i = 0; i < picture.length(); i++) {
      quoted ^= picture.charAt(i) == '\'';
      if (!quoted && picture.charAt(i) == sign) {
        return i;
      }
    }
    return picture.length();
  }

  private int digits(int from, int to) {
    int count = 0;
    boolean quoted = false;
    for (int i = from; i < to; i++) {
      quoted ^= picture.charAt(i) == '\'';
      count += !quoted && DIGITS.indexOf(picture.charAt(i)) >= 0 ? 1 : 0;
    }
    return count;
  }
}
