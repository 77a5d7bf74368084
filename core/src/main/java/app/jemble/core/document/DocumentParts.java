package app.jemble.core.document;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.w3c.dom.Document;
import org.w3c.dom.Element;

/**
 * How the parts of a document belong together (ISO/IEC 29500-2, 9.3), and what of it is not taken:
 * nothing in it may run, and nothing may be fetched from elsewhere.
 */
final class DocumentParts {

  static final String TYPES = "[Content_Types].xml";

  private static final String MAIN_TYPE =
      "application/vnd.openxmlformats-officedocument.wordprocessingml.document.main+xml";

  /** Where a list of people or a template lies that the writer used: not needed any more. */
  private static final Set<String> DROPPED =
      Set.of("attachedtemplate", "mailmergesource", "mailmergeheadersource", "recipientdata");

  private static final Set<String> RUNS =
      Set.of(
          "vbaproject", "wordvbadata", "activexcontrolbinary", "control", "keymapcustomizations");

  private static final Set<String> LINKS = Set.of("http", "https", "mailto", "tel");

  /**
   * What leads from one part to another.
   *
   * @param kind the last word of its type, in small letters
   * @param target the name of a part
   */
  record Relation(String id, String kind, String target) {}

  private final Map<String, byte[]> parts;
  private final String main;

  private static DocumentRefused none() {
    return new DocumentRefused(DocumentRefused.NO_DOCUMENT);
  }

  /** Refuses what is not a document, or holds what is not taken; drops what is not needed. */
  DocumentParts(Map<String, byte[]> parts) {
    this.parts = parts;
    if (!parts.containsKey(TYPES)) {
      throw none();
    }
    for (String name : List.copyOf(parts.keySet())) {
      if (name.endsWith(".rels")) {
        look(name);
      }
    }
    this.main =
        relations("_rels/.rels").stream()
            .filter(r -> r.kind().equals("officedocument"))
            .map(Relation::target)
            .findFirst()
            .orElseThrow(DocumentParts::none);
    if (!parts.containsKey(main)) {
      throw none();
    }
    lookAtType();
  }

  String main() {
    return main;
  }

  /** Where the relations of a part stand. */
  static String relationsOf(String part) {
    int slash = part.lastIndexOf('/') + 1;
    return part.substring(0, slash) + "_rels/" + part.substring(slash) + ".rels";
  }

  /** Relations to other parts of the same file; none where there are none. */
  List<Relation> relations(String name) {
    if (!parts.containsKey(name)) {
      return List.of();
    }
    List<Relation> all = new ArrayList<>();
    Document document = Markup.read(parts.get(name));
    for (Element each : Markup.elements(document.getDocumentElement())) {
      if (!each.getAttribute("TargetMode").equals("External")) {
        all.add(
            new Relation(
                each.getAttribute("Id"), kind(each), resolved(name, each.getAttribute("Target"))));
      }
    }
    return all;
  }

  private static String kind(Element relation) {
    String type = relation.getAttribute("Type");
    return type.substring(type.lastIndexOf('/') + 1).toLowerCase(Locale.ROOT);
  }

  private static String resolved(String relations, String target) {
    if (target.startsWith("/")) {
      return target.substring(1);
    }
    String folder = relations.substring(0, relations.lastIndexOf("_rels/"));
    String path = folder + target;
    while (path.contains("/../")) {
      path = path.replaceFirst("[^/]*/\\.\\./", "");
    }
    return path;
  }

  private void look(String name) {
    Document document = Markup.read(parts.get(name));
    Element root = document.getDocumentElement();
    Set<String> dropped = new HashSet<>();
    for (Element each : Markup.elements(root)) {
      String kind = kind(each);
      if (RUNS.contains(kind)) {
        throw new DocumentRefused("The document carries macros. Save it as .docx without them.");
      }
      if (kind.equals("oleobject") || kind.equals("afchunk")) {
        throw new DocumentRefused(
            "Another program's object or document is embedded in it."
                + " Put it in as text or as a picture.");
      }
      if (DROPPED.contains(kind)) {
        dropped.add(each.getAttribute("Id"));
        root.removeChild(each);
      } else if (each.getAttribute("TargetMode").equals("External") && !isLink(each, kind)) {
        throw new DocumentRefused(
            "The document loads something from elsewhere ("
                + shown(each.getAttribute("Target"))
                + "). Put it into the document itself.");
      }
    }
    if (!dropped.isEmpty()) {
      put(name, Markup.HEAD + Markup.write(root));
      forget(name, dropped);
    }
  }

  private static String shown(String target) {
    return target.length() > 80 ? target.substring(0, 80) + "…" : target;
  }

  private static boolean isLink(Element relation, String kind) {
    String target = relation.getAttribute("Target").strip().toLowerCase(Locale.ROOT);
    int colon = target.indexOf(':');
    return kind.equals("hyperlink")
        && (target.startsWith("#") || colon > 0 && LINKS.contains(target.substring(0, colon)));
  }

  /** Takes away the elements that asked for relations that are dropped. */
  private void forget(String relations, Set<String> ids) {
    String part = relations.replaceFirst("_rels/([^/]*)\\.rels$", "$1");
    if (!parts.containsKey(part)) {
      return;
    }
    Document document = Markup.read(parts.get(part));
    for (String name : List.of("mailMerge", "attachedTemplate")) {
      Markup.all(document, name).forEach(e -> e.getParentNode().removeChild(e));
    }
    put(part, Markup.HEAD + Markup.write(document.getDocumentElement()));
  }

  private void put(String name, String xml) {
    parts.put(name, xml.getBytes(StandardCharsets.UTF_8));
  }

  private void lookAtType() {
    Document document = Markup.read(parts.get(TYPES));
    String type = "";
    for (Element each : Markup.elements(document.getDocumentElement())) {
      if (each.getAttribute("PartName").equals("/" + main)) {
        type = each.getAttribute("ContentType");
      }
      if (each.getAttribute("ContentType").toLowerCase(Locale.ROOT).contains("macroenabled")
          || each.getAttribute("ContentType").contains("vbaProject")) {
        throw new DocumentRefused("The document carries macros. Save it as .docx without them.");
      }
    }
    if (type.endsWith("template.main+xml")) {
      throw new DocumentRefused("This is a file to begin documents from. Save it as .docx.");
    }
    if (!type.equals(MAIN_TYPE)) {
      throw none();
    }
    Element root = Markup.read(parts.get(main)).getDocumentElement();
    if (!Markup.is(root, "document")) {
      throw new DocumentRefused(
          "The document is saved in a strict form that is not read here. Save it as .docx.");
    }
  }
}
