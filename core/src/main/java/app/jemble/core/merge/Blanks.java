package app.jemble.core.merge;

import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;

/** Blanks: {@code [bracketed]} gaps that the writer still has to fill in by hand. */
public final class Blanks {

  private static final Pattern BLANK = Pattern.compile("\\[[^\\[\\]{}<>\\n]{1,80}]");

  private Blanks() {}

  /** The blanks left in a text, brackets included, in order. */
  public static List<String> in(String text) {
    return BLANK.matcher(text).results().map(MatchResult::group).distinct().toList();
  }
}
