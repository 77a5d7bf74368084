package app.jemble.core.response;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What the house's own mail server found out about a mail's sender (RFC 8601). Anybody can write
 * such a header; only those of the server that the settings name are believed.
 */
public final class AuthenticationResults {

  private static final Set<String> METHODS = Set.of("dkim", "spf", "dmarc");

  private static final int LONGEST = 4000;

  private static final Pattern COMMENT = Pattern.compile("\\([^()]*+\\)");

  private static final Pattern RESULT =
      Pattern.compile("^\\s*+([a-z]{1,20})(?:/\\d++)?\\s*+=\\s*+([a-z]{1,20})\\b");

  private AuthenticationResults() {}

  /**
   * Its findings, as {@code dkim=pass spf=pass}, in the order of the headers; empty when the server
   * said nothing, or none is trusted.
   *
   * @param headers the values of all Authentication-Results
   * @param server the name by which the house's server calls itself (authserv-id); empty for none
   */
  public static Optional<String> of(List<String> headers, String server) {
    List<String> found = new ArrayList<>();
    for (String header : headers) {
      String read = header.length() > LONGEST ? header.substring(0, LONGEST) : header;
      String[] parts = COMMENT.matcher(read).replaceAll(" ").toLowerCase(Locale.ROOT).split(";");
      // After its name a server may write a version (section 2.2).
      String who = parts[0].strip().split("\\s", 2)[0];
      if (server.isEmpty() || !who.equals(server.toLowerCase(Locale.ROOT))) {
        continue;
      }
      for (int i = 1; i < parts.length; i++) {
        Matcher result = RESULT.matcher(parts[i]);
        if (result.find() && METHODS.contains(result.group(1))) {
          found.add(result.group(1) + "=" + result.group(2));
        }
      }
    }
    return found.isEmpty() ? Optional.empty() : Optional.of(String.join(" ", found));
  }
}
