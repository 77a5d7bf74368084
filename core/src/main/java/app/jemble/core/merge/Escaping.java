package app.jemble.core.merge;

import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;

/** Makes a value harmless for the place where it stands. */
public final class Escaping {

  /**
   * Control characters, line and paragraph separators, and marks that turn the writing direction.
   */
  private static final Pattern CONTROLS =
      Pattern.compile("[\\p{Cntrl}\\u2028\\u2029\\u202a-\\u202e\\u2066-\\u2069]+");

  private static final Pattern SAFE_SCHEME = Pattern.compile("(?i)(https?://|mailto:|tel:)\\S*");

  private Escaping() {}

  public static void append(StringBuilder out, String value, Place place) {
    switch (place) {
      case HTML_TEXT, HTML_ATTRIBUTE -> appendHtml(out, value);
      case URL_START ->
          appendHtml(out, SAFE_SCHEME.matcher(value.strip()).matches() ? value.strip() : "#");
      case URL_PART -> appendPercent(out, value);
      case HEADER -> out.append(oneLine(value));
      case PLAIN_TEXT -> out.append(value);
    }
  }

  /** The text on one line, control characters turned into blanks, for mail headers. */
  public static String oneLine(String value) {
    return CONTROLS.matcher(value).replaceAll(" ").strip();
  }

  private static void appendHtml(StringBuilder out, String value) {
    for (int i = 0; i < value.length(); i++) {
      char c = value.charAt(i);
      switch (c) {
        case '&' -> out.append("&amp;");
        case '<' -> out.append("&lt;");
        case '>' -> out.append("&gt;");
        case '"' -> out.append("&quot;");
        case '\'' -> out.append("&#39;");
        default -> out.append(c < ' ' ? ' ' : c);
      }
    }
  }

  /** RFC 3986 section 2.3: only unreserved characters stay as they are. */
  private static void appendPercent(StringBuilder out, String value) {
    for (byte octet : value.getBytes(StandardCharsets.UTF_8)) {
      char c = (char) (octet & 0xff);
      if (c < 0x80 && (Character.isLetterOrDigit(c) || "-._~".indexOf(c) >= 0)) {
        out.append(c);
      } else {
        out.append('%').append(String.format("%02X", (int) c));
      }
    }
  }
}
