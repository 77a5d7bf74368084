package app.jemble.core.response;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/** What somebody wrote in an answer, without what it quotes (common practice). */
public final class OwnWords {

  /** Lines that mail readers put before what they quote. */
  private static final Pattern QUOTES_FOLLOW =
      Pattern.compile(
          "^(on|am|le|el|il|op|em|den)\\b.{5,200}(wrote|schrieb|a écrit|escribió|ha scritto|schreef|escreveu|skrev)\\s*:$"
              + "|^-{2,}\\s*(original message|forwarded message|ursprüngliche nachricht|message d.origine)\\s*-{2,}$"
              + "|^_{10,}$",
          Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);

  private OwnWords() {}

  /** The own lines, up to the first that quotes or says that quotes follow; may be empty. */
  public static String of(String text) {
    List<String> own = new ArrayList<>();
    List<String> lines = text.lines().map(String::stripTrailing).toList();
    for (int i = 0; i < lines.size(); i++) {
      String line = lines.get(i).strip();
      // Such a line is often broken in two.
      String two = i + 1 < lines.size() ? line + " " + lines.get(i + 1).strip() : line;
      if (line.startsWith(">")
          || QUOTES_FOLLOW.matcher(line).matches()
          || (!line.isEmpty() && QUOTES_FOLLOW.matcher(two).matches())) {
        break;
      }
      own.add(lines.get(i));
    }
    return String.join("\n", own).strip();
  }
}
