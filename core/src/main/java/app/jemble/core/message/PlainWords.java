package app.jemble.core.message;

import app.jemble.core.merge.Escaping;
import app.jemble.core.merge.Place;

/** Plain words made a body, for what is written by hand without any looks. */
public final class PlainWords {

  private PlainWords() {}

  /** Paragraphs where lines are empty, line breaks elsewhere; characters stand for themselves. */
  public static String toHtml(String words) {
    String text = String.join("\n", words.strip().lines().toList());
    StringBuilder html = new StringBuilder();
    for (String paragraph : text.split("\n{2,}")) {
      StringBuilder escaped = new StringBuilder();
      Escaping.append(escaped, paragraph, Place.HTML_TEXT);
      html.append("<p>").append(escaped.toString().replace("\n", "<br>")).append("</p>");
    }
    return html.toString();
  }
}
