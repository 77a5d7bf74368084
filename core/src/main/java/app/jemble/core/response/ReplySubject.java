package app.jemble.core.response;

import java.util.regex.Pattern;

/** Subjects of answers: with "Re:" (RFC 5322 section 3.6.5) and what mail readers write for it. */
public final class ReplySubject {

  private static final Pattern PREFIXES =
      Pattern.compile(
          "^(\\s*(re|aw|sv|antw|fwd?|wg|tr|rv|vs)\\s*(\\[\\d+])?\\s*:\\s*)+",
          Pattern.CASE_INSENSITIVE);

  private ReplySubject() {}

  /** The subject that is answered or passed on; empty where nothing else stood there. */
  public static String bare(String subject) {
    return PREFIXES.matcher(subject).replaceFirst("").strip();
  }

  /** The subject of an answer, with one "Re:" however many there were. */
  public static String answering(String subject) {
    return ("Re: " + bare(subject)).strip();
  }
}
