package app.jemble.core.document;

import app.jemble.core.document.DocumentTemplate.Part;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Several people's documents in one file, one section or more for each. The main part is made bit
 * by bit, so that nobody has to hold all of it; headers and footers with fields are made for each
 * letter.
 */
public final class JoinedDocuments {

  private static final Filling NOBODY = new Filling(Map.of(), Locale.ROOT);

  /**
   * One letter.
   *
   * @param text what is added to the main part
   * @param parts what else is in the file for it alone, by name
   */
  public record Letter(String text, Map<String, byte[]> parts) {
    public Letter {
      parts = Map.copyOf(parts);
    }
  }

  private final DocumentTemplate template;
  private final boolean sheets;
  private final CountedLists lists;
  private final List<Piece> before;
  private final List<Piece> letter;
  private final List<Piece> behind;

  /** Parts with fields, by the relation of the main part that leads to them. */
  private final Map<String, Part> around = new LinkedHashMap<>();

  private final StringBuilder relations = new StringBuilder();
  private final StringBuilder types = new StringBuilder();
  private Filling first = NOBODY;
  private Joined last = new Joined(Map.of(), false);
  private int written;

  /**
   * @param sheets whether each begins on a sheet of its own when both sides are printed
   */
  public JoinedDocuments(DocumentTemplate template, boolean sheets) {
    this.template = template;
    this.sheets = sheets;
    this.lists = template.lists();
    List<Piece> all = template.main().pieces();
    int begin = all.indexOf(new Piece.Bound());
    int end = all.lastIndexOf(new Piece.Bound());
    this.before = all.subList(0, begin);
    this.letter = all.subList(begin + 1, end);
    this.behind = all.subList(end + 1, all.size());
    for (DocumentParts.Relation each : template.belonging().relations(mainRelations())) {
      template.around().stream()
          .filter(part -> part.name().equals(each.target()))
          .forEach(part -> around.put(each.id(), part));
    }
  }

  private String mainRelations() {
    return DocumentParts.relationsOf(template.main().name());
  }

  /** The name of the part that is made bit by bit. */
  public String mainName() {
    return template.main().name();
  }

  /** What the main part begins with. */
  public String begin() {
    return text(before, NOBODY);
  }

  /** The next letter. */
  public Letter letter(Filling filling, boolean isFollowed) {
    if (written == 0) {
      first = filling;
    }
    Map<String, byte[]> parts = new LinkedHashMap<>();
    last = new Joined(around(filling, parts), isFollowed);
    String text = text(letter, filling);
    written++;
    return new Letter(text, parts);
  }

  /** What the main part ends with, after the last letter. */
  public String end() {
    return text(behind, NOBODY);
  }

  private String text(List<Piece> pieces, Filling filling) {
    return PieceWriter.write(pieces, template.main().prefix(), filling, last);
  }

  /** What the letter's own headers and footers are called, by what the document calls them. */
  private Map<String, String> around(Filling filling, Map<String, byte[]> parts) {
    Map<String, String> names = new HashMap<>();
    if (written == 0) {
      return names;
    }
    for (Map.Entry<String, Part> each : around.entrySet()) {
      Part part = each.getValue();
      String id = each.getKey() + "-" + written;
      String name = part.name().replaceFirst("(\\.xml)?$", "-" + written + "$1");
      parts.put(name, octets(filled(part, filling)));
      byte[] itsOwn = template.parts().get(DocumentParts.relationsOf(part.name()));
      if (itsOwn != null) {
        parts.put(DocumentParts.relationsOf(name), itsOwn);
      }
      note(id, name, template.isFooter(part) ? "footer" : "header");
      names.put(each.getKey(), id);
    }
    return names;
  }

  private void note(String id, String name, String kind) {
    relations.append("<Relationship Id=\"").append(Markup.escaped(id));
    relations.append("\" Type=\"").append(Markup.RELATIONS).append('/').append(kind);
    relations.append("\" Target=\"/").append(Markup.escaped(name)).append("\"/>");
    types.append("<Override PartName=\"/").append(Markup.escaped(name));
    types.append("\" ContentType=\"application/vnd.openxmlformats-officedocument");
    types.append(".wordprocessingml.").append(kind).append("+xml\"/>");
  }

  private String filled(Part part, Filling filling) {
    Joined place = new Joined(Map.of(), false);
    return pagesOfOne(PieceWriter.write(part.pieces(), part.prefix(), filling, place));
  }

  /** Where each letter is one section, its pages are those of the section. */
  private String pagesOfOne(String xml) {
    return template.sections().count() == 1
        ? xml.replaceAll("\\bNUMPAGES\\b", "SECTIONPAGES")
        : xml;
  }

  /** All parts but the main one and those of single letters, once all letters are made. */
  public Map<String, byte[]> shared() {
    Map<String, byte[]> shared = new LinkedHashMap<>();
    template.parts().forEach((name, content) -> shared.put(name, shared(name, content)));
    shared.remove(mainName());
    return shared;
  }

  private byte[] shared(String name, byte[] content) {
    if (name.equals(mainRelations())) {
      return octets(beforeEnd(words(content), "</Relationships>", relations));
    }
    if (name.equals(DocumentParts.TYPES)) {
      return octets(beforeEnd(words(content), "</Types>", types));
    }
    if (name.equals(template.numbering())) {
      return octets(lists.write(words(content)));
    }
    if (template.isAround(name)) {
      return octets(
          around.values().stream()
              .filter(part -> part.name().equals(name))
              .findFirst()
              .map(part -> filled(part, first))
              .orElseGet(() -> pagesOfOne(words(content))));
    }
    return content;
  }

  private static String words(byte[] content) {
    return new String(content, StandardCharsets.UTF_8);
  }

  private static byte[] octets(String words) {
    return words.getBytes(StandardCharsets.UTF_8);
  }

  private static String beforeEnd(String xml, String end, StringBuilder added) {
    return new StringBuilder(xml).insert(xml.lastIndexOf(end), added).toString();
  }

  /** One letter of several. */
  private final class Joined implements PieceWriter.Place {

    private final Map<String, String> around;
    private final boolean isFollowed;
    private final Map<String, String> counted = new HashMap<>();

    Joined(Map<String, String> around, boolean isFollowed) {
      this.around = around;
      this.isFollowed = isFollowed;
    }

    @Override
    public String section(int section) {
      return template.sections().joined(section, sheets, around);
    }

    @Override
    public String closing() {
      return isFollowed ? section(template.sections().count() - 1) : "";
    }

    @Override
    public String list(String number) {
      return written == 0 ? number : counted.computeIfAbsent(number, lists::again);
    }

    @Override
    public boolean isRepeated() {
      return written > 0;
    }
  }
}
