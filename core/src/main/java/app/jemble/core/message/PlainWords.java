package app.jemble.core.message;

import app.jemble.core.merge.Escaping;
import app.jemble.core.merge.Place;
import java.util.stream.Collectors;

/** Plain words made a body, for what is written by hand without any looks. */
public final class PlainWords {

  private PlainWords() {}

  /** Paragraphs where lines are empty, line breaks elsewhere; characters stand for themselves. */
  public static String toHtml(String words) {
    return words
        .strip()
        .replace("\r\n", "\n")
        .replace('\r', '\n')
        .lines()
        .collect(Collectors.collectingAndThen(Collectors.joining("\n"), PlainWords::paragraphs));
  }

  private static String paragraphs(String text) {
    StringBuilder html = new StringBuilder();
    for (String paragraph : text.split("\n{2,}")) {
      html.append("<p>");
      StringBuilder escaped = new StringBuilder();
      Escaping.append(escaped, paragraph, Place.HTML_TEXT);
      html.append(escaped.toString().replace("\n", "<br>")).append("</p>");
    }
    return html.toString();
  }
}
