package app.jemble.core.check;

import java.net.URI;
import java.net.URISyntaxException;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/** Links that likely do not lead where the writer thinks. */
public final class LinkCheck {

  private static final int LONGEST = 2_000;

  private static final Pattern SAYS_A_HOST =
      Pattern.compile("(?:https?://)?[\\p{L}\\p{N}-]++(?:\\.[\\p{L}\\p{N}-]++)++(?:/\\S*+)?");

  private LinkCheck() {}

  /**
   * What is odd about a link.
   *
   * @param address where it leads, without merge fields
   * @param words what it says
   * @return a sentence, or nothing when nothing is odd
   */
  public static Optional<String> look(String address, String words) {
    if (address.isBlank() || address.equals("#")) {
      return Optional.of("The link “" + words + "” leads nowhere.");
    }
    if (!address.toLowerCase(Locale.ROOT).startsWith("http")) {
      return Optional.empty();
    }
    String host = host(address);
    if (host == null || !host.contains(".") || host.endsWith(".")) {
      return Optional.of("The link " + address + " does not look like an address of the web.");
    }
    String said = words.strip().toLowerCase(Locale.ROOT);
    if (said.length() <= LONGEST && SAYS_A_HOST.matcher(said).matches()) {
      String saidHost = host(said.startsWith("http") ? said : "https://" + said);
      if (saidHost != null && !bare(saidHost).equals(bare(host))) {
        return Optional.of("A link says " + words.strip() + " and leads to " + host + ".");
      }
    }
    return Optional.empty();
  }

  private static String host(String address) {
    try {
      URI uri = new URI(address);
      return uri.getUserInfo() == null ? uri.getHost() : null;
    } catch (URISyntaxException unreadable) {
      return null;
    }
  }

  private static String bare(String host) {
    String lower = host.toLowerCase(Locale.ROOT);
    return lower.startsWith("www.") ? lower.substring(4) : lower;
  }
}
