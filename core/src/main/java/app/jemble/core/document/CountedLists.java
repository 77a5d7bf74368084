package app.jemble.core.document;

import java.util.LinkedHashMap;
import java.util.Map;
import org.w3c.dom.Document;
import org.w3c.dom.Element;

/**
 * The lists of a document that count (ISO/IEC 29500-1, 17.9): in a file of several letters each
 * letter counts from the beginning again.
 */
final class CountedLists {

  /**
   * One of them.
   *
   * @param kind which list it is an instance of
   * @param start with what it begins
   */
  private record Counted(String kind, String start) {}

  private final Map<String, Counted> lists = new LinkedHashMap<>();
  private final StringBuilder added = new StringBuilder();
  private int next;

  /**
   * @param numbering the part they stand in; null for none
   */
  CountedLists(byte[] numbering) {
    if (numbering == null) {
      return;
    }
    Document document = Markup.read(numbering);
    Map<String, String> starts = new LinkedHashMap<>();
    for (Element kind : Markup.all(document, "abstractNum")) {
      Element first = Markup.child(kind, "lvl");
      if (first != null && counts(first)) {
        starts.put(Markup.attribute(kind, "abstractNumId"), value(first, "start", "1"));
      }
    }
    for (Element list : Markup.all(document, "num")) {
      String id = Markup.attribute(list, "numId");
      String kind = value(list, "abstractNumId", "");
      next = Math.max(next, number(id) + 1);
      if (starts.containsKey(kind) && number(id) > 0) {
        lists.put(id, new Counted(kind, starts.get(kind)));
      }
    }
  }

  private static int number(String id) {
    return id.matches("\\d{1,8}") ? Integer.parseInt(id) : 0;
  }

  private static boolean counts(Element level) {
    String format = value(level, "numFmt", "decimal");
    return !format.equals("bullet") && !format.equals("none");
  }

  private static String value(Element parent, String name, String otherwise) {
    Element child = Markup.child(parent, name);
    return child == null ? otherwise : Markup.attribute(child, "val");
  }

  boolean has(String id) {
    return lists.containsKey(id);
  }

  /** Another list like this one, which begins anew. */
  String again(String id) {
    Counted list = lists.get(id);
    String another = String.valueOf(next++);
    added.append("<w:num w:numId=\"").append(another).append("\"><w:abstractNumId w:val=\"");
    added.append(Markup.escaped(list.kind())).append("\"/><w:lvlOverride w:ilvl=\"0\">");
    added.append("<w:startOverride w:val=\"").append(Markup.escaped(list.start()));
    added.append("\"/></w:lvlOverride></w:num>");
    return another;
  }

  /** The part with the lists that were added: after the last list, as the schema orders them. */
  String write(String numbering) {
    int last = numbering.lastIndexOf("</w:num>");
    return added.isEmpty() || last < 0
        ? numbering
        : new StringBuilder(numbering).insert(last + "</w:num>".length(), added).toString();
  }
}
