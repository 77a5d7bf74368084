package app.jemble.core.response;

import java.util.List;
import java.util.regex.Pattern;

/**
 * An answer, parted where it begins to quote (common practice).
 *
 * @param own what they wrote themselves; may be empty
 * @param quoted what stands below it, mostly our own words; may be empty
 */
public record OwnWords(String own, String quoted) {

  /** Lines that mail readers put before what they quote. */
  private static final Pattern QUOTES_FOLLOW =
      Pattern.compile(
          "^(on|am|le|el|il|op|em|den)\\b.{5,200}(wrote|schrieb|a écrit|escribió|ha scritto|schreef|escreveu|skrev)\\s*:$"
              + "|^-{2,}\\s*(original message|forwarded message|ursprüngliche nachricht|message d.origine)\\s*-{2,}$"
              + "|^_{10,}$",
          Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);

  /** Parts a text at the first line that quotes or says that quotes follow; line ends become LF. */
  public static OwnWords of(String text) {
    List<String> lines = text.lines().map(String::stripTrailing).toList();
    int at = 0;
    while (at < lines.size() && !quotesFrom(lines, at)) {
      at++;
    }
    return new OwnWords(joined(lines.subList(0, at)), joined(lines.subList(at, lines.size())));
  }

  private static boolean quotesFrom(List<String> lines, int at) {
    String line = lines.get(at).strip();
    // Such a line is often broken in two.
    String two = at + 1 < lines.size() ? line + " " + lines.get(at + 1).strip() : line;
    return line.startsWith(">")
        || QUOTES_FOLLOW.matcher(line).matches()
        || (!line.isEmpty() && QUOTES_FOLLOW.matcher(two).matches());
  }

  private static String joined(List<String> lines) {
    return String.join("\n", lines).strip();
  }

  /** The own words on one line, cut where they are long. */
  public String snippet(int most) {
    String line = own.replaceAll("\\s+", " ");
    return line.length() > most ? line.substring(0, most) + "…" : line;
  }
}
