package app.jemble.core.message;

import java.net.IDN;
import java.net.URI;
import java.net.URISyntaxException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/** Where a link leads, in the one form that every program follows alike. */
public final class WebAddress {

  /** Longer ones are cut by some programs (common practice), and then lead elsewhere. */
  private static final int LONGEST = 8_000;

  private static final Set<String> FOLLOWED = Set.of("http", "https", "mailto", "tel");

  /** RFC 3986 section 2.2 and 2.3, without square brackets, which stand for hosts alone. */
  private static final String PLAIN = "-._~:/?@!$&'()*+,;=";

  private static final Pattern HOST =
      Pattern.compile("[A-Za-z0-9_](?:[A-Za-z0-9._-]*[A-Za-z0-9_.])?|\\[[0-9A-Fa-f:.]+]");

  private static final Pattern PORT = Pattern.compile("\\d{0,5}");

  private static final char[] HEX = "0123456789ABCDEF".toCharArray();

  private WebAddress() {}

  /**
   * The address with all that no address holds written in octets (RFC 3986), its host in letters of
   * the web (RFC 5890); empty when it is none that may be followed: only http, https, mailto and
   * tel may. Line ends and tabs are dropped, as browsers do.
   *
   * <p>{@code https://quay.example/a b|c} gives {@code https://quay.example/a%20b%7Cc}.
   */
  public static Optional<String> normal(String written) {
    String address = written.replaceAll("[\\x00-\\x1f\\x7f]", "").strip();
    int colon = address.indexOf(':');
    if (colon < 1 || address.length() > LONGEST) {
      return Optional.empty();
    }
    String scheme = address.substring(0, colon).toLowerCase(Locale.ROOT);
    String rest = address.substring(colon + 1);
    if (!FOLLOWED.contains(scheme) || rest.isBlank()) {
      return Optional.empty();
    }
    boolean web = scheme.startsWith("http");
    Optional<String> normal = web ? web(rest) : Optional.of(encoded(rest));
    return normal.map(r -> scheme + ":" + r).filter(WebAddress::isReadable);
  }

  private static Optional<String> web(String rest) {
    if (!rest.startsWith("//")) {
      return Optional.empty();
    }
    int end = 2;
    while (end < rest.length() && "/?#".indexOf(rest.charAt(end)) < 0) {
      end++;
    }
    String authority = rest.substring(2, end);
    int at = authority.lastIndexOf('@');
    String user = at < 0 ? "" : encoded(authority.substring(0, at)) + "@";
    return host(authority.substring(at + 1))
        .map(
            host ->
                "//"
                    + user
                    + host
                    + encoded(rest.substring(Math.min(2 + authority.length(), rest.length()))));
  }

  private static Optional<String> host(String given) {
    int colon = given.endsWith("]") ? -1 : given.lastIndexOf(':');
    String port = colon < 0 ? "" : given.substring(colon + 1);
    String name = colon < 0 ? given : given.substring(0, colon);
    String ascii;
    try {
      ascii = name.startsWith("[") ? name : IDN.toASCII(name, IDN.ALLOW_UNASSIGNED);
    } catch (IllegalArgumentException notAHost) {
      return Optional.empty();
    }
    boolean good = HOST.matcher(ascii).matches() && PORT.matcher(port).matches();
    return good ? Optional.of(port.isEmpty() ? ascii : ascii + ":" + port) : Optional.empty();
  }

  private static String encoded(String part) {
    StringBuilder out = new StringBuilder(part.length());
    boolean fragment = false;
    for (int i = 0; i < part.length(); ) {
      int c = part.codePointAt(i);
      boolean octet = c == '%' && isHex(part, i + 1) && isHex(part, i + 2);
      boolean begins = c == '#' && !fragment;
      if (octet || begins || isPlain(c)) {
        out.append((char) c);
        fragment |= begins;
      } else {
        for (byte b : Character.toString(c).getBytes(StandardCharsets.UTF_8)) {
          out.append('%').append(HEX[(b >> 4) & 15]).append(HEX[b & 15]);
        }
      }
      i += Character.charCount(c);
    }
    return out.toString();
  }

  private static boolean isPlain(int c) {
    return c < 0x80 && (Character.isLetterOrDigit(c) || PLAIN.indexOf(c) >= 0);
  }

  private static boolean isHex(String text, int at) {
    return at < text.length() && Character.digit(text.charAt(at), 16) >= 0;
  }

  private static boolean isReadable(String address) {
    try {
      return new URI(address).getScheme() != null;
    } catch (URISyntaxException unreadable) {
      return false;
    }
  }
}
