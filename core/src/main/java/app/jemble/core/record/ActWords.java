package app.jemble.core.record;

import java.util.regex.Pattern;

/** How what was done to people is told. */
public final class ActWords {

  private static final Pattern COUNT =
      Pattern.compile("(?: of)? \\(?\\d[\\d,]* (?:person|people)\\)?");

  private ActWords() {}

  /** Without to how many it was done, for somebody who sees some of them. */
  public static String withoutCount(String words) {
    return COUNT.matcher(words).replaceAll("");
  }
}
