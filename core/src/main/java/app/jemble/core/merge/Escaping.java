package app.jemble.core.merge;

import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;

/** Makes a value harmless for the place where it stands. */
public final class Escaping {

  /**
   * Control characters, line and paragraph separators, and marks that turn the writing direction.
   */
  private static final Pattern CONTROLS =
      Pattern.compile("[\\p{Cntrl}\\x80-\\x9f\\u2028\\u2029\\u202a-\\u202e\\u2066-\\u2069]+");

  private static final Pattern SAFE_SCHEME = Pattern.compile("(?i)(https?://|mailto:|tel:)\\S*");

  private static final char[] HEX = "0123456789ABCDEF".toCharArray();

  private Escaping() {}

  public static void append(StringBuilder out, String value, Place place) {
    switch (place) {
      case HTML_TEXT, HTML_ATTRIBUTE -> appendHtml(out, value);
      case URL_START -> appendHtml(out, safeAddress(value));
      case URL_PART -> appendPercent(out, value);
      case BARE_ADDRESS_START -> out.append(safeAddress(value));
      case HEADER -> out.append(oneLine(value));
      case PLAIN_TEXT -> out.append(readable(value));
    }
  }

  /**
   * A value without what would reorder the letter around it (Unicode Standard Annex 9: the controls
   * that embed, override and isolate) or that no text holds: control characters but tab and line
   * end.
   */
  private static String readable(String value) {
    for (int i = 0; i < value.length(); i++) {
      if (isUnreadable(value.charAt(i))) {
        StringBuilder kept = new StringBuilder(value.length());
        value.chars().filter(c -> !isUnreadable((char) c)).forEach(c -> kept.append((char) c));
        return kept.toString();
      }
    }
    return value;
  }

  private static boolean isUnreadable(char c) {
    return c < ' '
        ? c != '\n' && c != '\t' && c != '\r'
        : c >= '\u007f'
            && (c <= '\u009f'
                || (c >= '\u202a' && c <= '\u202e')
                || (c >= '\u2066' && c <= '\u2069'));
  }

  /** The text on one line, control characters turned into blanks, for mail headers. */
  public static String oneLine(String value) {
    return CONTROLS.matcher(value).replaceAll(" ").strip();
  }

  /** The address where it is one that may be followed, else {@code #}, which leads nowhere. */
  private static String safeAddress(String value) {
    String address = value.strip();
    return isSafeAddress(address) ? address : "#";
  }

  static boolean isSafeAddress(String address) {
    return SAFE_SCHEME.matcher(address).matches();
  }

  /** Most values hold nothing to escape: what lies between two such characters is taken whole. */
  private static void appendHtml(StringBuilder out, String value) {
    int from = 0;
    for (int i = 0; i < value.length(); i++) {
      char c = value.charAt(i);
      if (c > '>' && c < '\u007f') {
        continue;
      }
      String instead = isUnreadable(c) ? "" : inHtml(c);
      if (instead != null) {
        out.append(value.substring(from, i)).append(instead);
        from = i + 1;
      }
    }
    out.append(from == 0 ? value : value.substring(from));
  }

  /** What stands for a character in HTML; null where it stands for itself. */
  private static String inHtml(char c) {
    return switch (c) {
      case '&' -> "&amp;";
      case '<' -> "&lt;";
      case '>' -> "&gt;";
      case '"' -> "&quot;";
      case '\'' -> "&#39;";
      default -> c < ' ' ? " " : null;
    };
  }

  /** RFC 3986 section 2.3: only unreserved characters stay as they are. */
  private static void appendPercent(StringBuilder out, String value) {
    for (byte octet : value.getBytes(StandardCharsets.UTF_8)) {
      char c = (char) (octet & 0xff);
      if (c < 0x80 && (Character.isLetterOrDigit(c) || "-._~".indexOf(c) >= 0)) {
        out.append(c);
      } else {
        out.append('%').append(HEX[c >> 4]).append(HEX[c & 15]);
      }
    }
  }
}
