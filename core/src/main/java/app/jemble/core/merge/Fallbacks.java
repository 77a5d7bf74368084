package app.jemble.core.merge;

import app.jemble.core.record.Words;
import java.util.ArrayList;
import java.util.List;
import org.jsoup.parser.Parser;

/**
 * Gives a field a fallback wherever it stands without one; all else stays as it was written, letter
 * by letter. What is written is escaped for the place where it stands.
 */
public final class Fallbacks {

  private Fallbacks() {}

  /** Whether the words can stand where an address must, since a link or picture begins with it. */
  public static boolean isAddress(String words) {
    return Escaping.isSafeAddress(words.strip());
  }

  /** Whether the field decides in some place where a link leads, or which picture is shown. */
  public static boolean decidesAnAddress(String html, String field) {
    return places(html, TemplateParser.Kind.HTML, field).contains(Place.URL_START);
  }

  /**
   * The text with the fallback.
   *
   * @param text a text that may hold anything, also what cannot be read
   * @param words the fallback; quotation marks and braces, which it cannot hold, are left away
   */
  public static String set(String text, TemplateParser.Kind kind, String field, String words) {
    String clean = Words.tidy(words.replaceAll("[\"“”{}]", ""));
    if (clean.isEmpty()) {
      return text;
    }
    StringBuilder out = new StringBuilder();
    int at = 0;
    for (Tag tag : tags(text)) {
      out.append(text, at, tag.from());
      String inside = read(text.substring(tag.from(), tag.to()), kind);
      MergeFieldReader.Read read = MergeFieldReader.read(inside);
      if (lacks(read, field)) {
        List<Part.Source> sources = List.of(read.sources().get(0), new Part.Fallback(clean));
        String written = TemplatePrinter.inside(sources, read.format());
        out.append(TemplatePrinter.written(written, kind));
      } else {
        out.append(text, tag.from(), tag.to());
      }
      at = tag.to();
    }
    return out.append(text, at, text.length()).toString();
  }

  private static List<Place> places(String text, TemplateParser.Kind kind, String field) {
    HtmlPlaces html = new HtmlPlaces();
    List<Place> places = new ArrayList<>();
    int at = 0;
    for (Tag tag : tags(text)) {
      html.read(text.substring(at, tag.from() - 2));
      Place here = html.here();
      if (lacks(MergeFieldReader.read(read(text.substring(tag.from(), tag.to()), kind)), field)) {
        places.add(here);
      }
      at = tag.to() + 2;
    }
    return places;
  }

  private static boolean lacks(MergeFieldReader.Read read, String field) {
    return read.problem() == null && read.sources().equals(List.of(new Part.FieldSource(field)));
  }

  private static String read(String inside, TemplateParser.Kind kind) {
    return kind == TemplateParser.Kind.HTML ? Parser.unescapeEntities(inside, false) : inside;
  }

  /** The inside of a merge field, from its first letter to after its last. */
  private record Tag(int from, int to) {}

  private static List<Tag> tags(String text) {
    List<Tag> tags = new ArrayList<>();
    int start = text.indexOf("{{");
    while (start >= 0) {
      int end = text.indexOf("}}", start + 2);
      if (end < 0) {
        break;
      }
      tags.add(new Tag(start + 2, end));
      start = text.indexOf("{{", end + 2);
    }
    return tags;
  }
}
