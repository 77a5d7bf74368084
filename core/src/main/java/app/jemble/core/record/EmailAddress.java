package app.jemble.core.record;

import java.net.IDN;
import java.util.regex.Pattern;

/**
 * Whether a text is one e-mail address that mail can be sent to.
 *
 * <p>RFC 5321 section 4.1.2 with the lengths of section 4.5.3.1 (local part 64 octets, whole path
 * 254 as in RFC 3696 erratum 1690), other alphabets as RFC 6531 allows. Narrower than the RFCs
 * where practice is: no address literal, no comment, and at least two labels in the domain.
 */
public final class EmailAddress {

  private static final Pattern DOT_ATOM =
      Pattern.compile(
          "[\\p{L}\\p{N}\\p{M}!#$%&'*+/=?^_`{|}~-]+(\\.[\\p{L}\\p{N}\\p{M}!#$%&'*+/=?^_`{|}~-]+)*");
  private static final Pattern QUOTED =
      Pattern.compile("\"([\\x20-\\x7e&&[^\"\\\\]]|\\\\[\\x20-\\x7e])*\"");
  private static final Pattern LABEL =
      Pattern.compile("[A-Za-z0-9]([A-Za-z0-9-]{0,61}[A-Za-z0-9])?");

  private EmailAddress() {}

  /**
   * {@code "bea@okonjo.example"} is valid; {@code "bea@okonjo"}, {@code "a b@c.example"} are not.
   */
  public static boolean isValid(String text) {
    int at = text.lastIndexOf('@');
    if (at < 1 || octets(text) > 254) {
      return false;
    }
    String local = text.substring(0, at);
    return octets(local) <= 64
        && (DOT_ATOM.matcher(local).matches() || QUOTED.matcher(local).matches())
        && isDomain(text.substring(at + 1));
  }

  /** The form in which two spellings of one address are equal: lower case, blanks around cut. */
  public static String key(String address) {
    return address.strip().toLowerCase(java.util.Locale.ROOT);
  }

  private static boolean isDomain(String domain) {
    String ascii;
    try {
      ascii = IDN.toASCII(domain, IDN.ALLOW_UNASSIGNED);
    } catch (IllegalArgumentException notIdn) {
      return false;
    }
    String[] labels = ascii.split("\\.", -1);
    if (labels.length < 2 || ascii.length() > 253) {
      return false;
    }
    for (String label : labels) {
      if (!LABEL.matcher(label).matches()) {
        return false;
      }
    }
    return !labels[labels.length - 1].chars().allMatch(Character::isDigit);
  }

  private static int octets(String text) {
    return text.getBytes(java.nio.charset.StandardCharsets.UTF_8).length;
  }
}
