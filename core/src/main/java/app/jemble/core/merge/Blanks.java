package app.jemble.core.merge;

import java.util.List;
import java.util.Map;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Blanks: {@code [bracketed]} gaps that the writer still has to fill in by hand. */
public final class Blanks {

  private static final Pattern BLANK = Pattern.compile("\\[[^\\[\\]{}<>\\n]{1,80}]");

  private static final Pattern TAG = Pattern.compile("<[^>]*>");

  private static final Pattern WEB_ADDRESS = Pattern.compile("https?://[^\\s\"<>]+");

  private Blanks() {}

  /** The blanks left in a text, brackets included, in order. */
  public static List<String> in(String text) {
    return BLANK.matcher(text).results().map(MatchResult::group).distinct().toList();
  }

  /** A subject with blanks filled; those without a value stay. */
  public static String fill(String text, Map<String, String> values) {
    return BLANK
        .matcher(text)
        .replaceAll(
            blank -> Matcher.quoteReplacement(values.getOrDefault(blank.group(), blank.group())));
  }

  /**
   * HTML with blanks filled by plain text. An address of the web that stands between tags becomes a
   * link; inside a tag values are those of an attribute.
   */
  public static String fillHtml(String html, Map<String, String> values) {
    StringBuilder filled = new StringBuilder();
    int at = 0;
    for (MatchResult tag : TAG.matcher(html).results().toList()) {
      filled.append(fillPart(html.substring(at, tag.start()), values, false));
      filled.append(fillPart(tag.group(), values, true));
      at = tag.end();
    }
    return filled.append(fillPart(html.substring(at), values, false)).toString();
  }

  private static String fillPart(String part, Map<String, String> values, boolean inTag) {
    return BLANK
        .matcher(part)
        .replaceAll(
            blank -> {
              String value = values.get(blank.group());
              return Matcher.quoteReplacement(value == null ? blank.group() : html(value, inTag));
            });
  }

  private static String html(String value, boolean inTag) {
    StringBuilder escaped = new StringBuilder();
    Escaping.append(escaped, value, inTag ? Place.HTML_ATTRIBUTE : Place.HTML_TEXT);
    return !inTag && WEB_ADDRESS.matcher(value).matches()
        ? "<a href=\"" + escaped + "\">" + escaped + "</a>"
        : escaped.toString();
  }
}
