package app.jemble.core.document;

import app.jemble.core.document.Piece.Choice;
import app.jemble.core.document.Piece.Line;
import app.jemble.core.document.Piece.Merge;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.w3c.dom.Document;
import org.w3c.dom.Element;

/**
 * A document that is filled in for one person after another. Its merge fields, in the text, in
 * headers and in footers, get values; all else stays as it was. It does not change, and threads may
 * share it.
 */
public final class DocumentTemplate {

  /** A part that is written anew for each person. */
  record Part(String name, String prefix, List<Piece> pieces) {}

  private final Map<String, byte[]> parts;
  private final DocumentParts belonging;
  private final List<String> remarks = new ArrayList<>();
  private final Part main;
  private final List<Part> around = new ArrayList<>();
  private final Map<String, String> kinds = new LinkedHashMap<>();
  private final Sections sections;
  private final List<Piece> words;
  private final Set<String> fields = new LinkedHashSet<>();

  private DocumentTemplate(Map<String, byte[]> parts) {
    this.parts = new LinkedHashMap<>(parts);
    this.belonging = new DocumentParts(this.parts);
    FieldReader reader = new FieldReader(remarks);
    PartReader text = reader(belonging.main(), reader);
    String prefix = prefix(text);
    for (Element list : Markup.all(text.document(), "numId")) {
      String number = Markup.attribute(list, "val");
      if (lists().has(number)) {
        text.replace(list, new Piece.ListOf(number));
      }
    }
    this.sections = Sections.takeOut(text, prefix);
    text.readFields();
    this.main = new Part(belonging.main(), prefix, text.pieces());
    this.words = PlainWords.of(main.pieces(), prefix);
    readAround(reader);
    collect(main.pieces());
    around.forEach(part -> collect(part.pieces()));
  }

  /**
   * Reads a document.
   *
   * @param parts of its file by their names, in order, unpacked
   * @throws DocumentRefused with a sentence for people, when it is not taken
   */
  public static DocumentTemplate read(Map<String, byte[]> parts) {
    return new DocumentTemplate(parts);
  }

  private PartReader reader(String name, FieldReader fields) {
    Document document = Markup.read(parts.get(name));
    OutsideFields.refuse(document);
    return new PartReader(document, fields);
  }

  private static String prefix(PartReader part) {
    String prefix = part.document().getDocumentElement().getPrefix();
    return prefix == null ? "" : prefix + ":";
  }

  private void readAround(FieldReader fields) {
    for (DocumentParts.Relation each :
        belonging.relations(DocumentParts.relationsOf(belonging.main()))) {
      if (!parts.containsKey(each.target())) {
        continue;
      }
      kinds.put(each.target(), each.kind());
      switch (each.kind()) {
        case "header", "footer" -> {
          PartReader reader = reader(each.target(), fields);
          reader.readFields();
          List<Piece> pieces = reader.pieces();
          if (pieces.stream().anyMatch(p -> !(p instanceof Piece.Fixed))) {
            around.add(new Part(each.target(), prefix(reader), pieces));
          }
        }
        case "footnotes", "endnotes" -> {
          if (new String(parts.get(each.target()), StandardCharsets.UTF_8).contains("MERGEFIELD")) {
            remarks.add("Fields in footnotes and endnotes stay as they stand.");
          }
          OutsideFields.refuse(Markup.read(parts.get(each.target())));
        }
        default -> {}
      }
    }
  }

  private void collect(List<Piece> pieces) {
    for (Piece piece : pieces) {
      if (piece instanceof Merge merge) {
        fields.add(merge.field());
      } else if (piece instanceof Line line) {
        collect(line.pieces());
      } else if (piece instanceof Choice choice) {
        collect(choice.condition().left());
        collect(choice.condition().right());
        collect(choice.then());
        collect(choice.otherwise());
      }
    }
  }

  /** The document's own names of its fields, in order of first use. */
  public Set<String> fields() {
    return Collections.unmodifiableSet(fields);
  }

  /** Which of its fields stay as they stand, in sentences. */
  public List<String> remarks() {
    return List.copyOf(remarks);
  }

  /** What its text says to one person: a line for each paragraph, without headers and footers. */
  public String words(Filling filling) {
    return Words.of(words, filling).strip();
  }

  /** Fields that are shown and have no value, but for those in lines that close up. */
  public Set<String> missing(Filling filling) {
    Set<String> missing = new LinkedHashSet<>();
    lookForMissing(main.pieces(), filling, missing);
    around.forEach(part -> lookForMissing(part.pieces(), filling, missing));
    return missing;
  }

  private static void lookForMissing(List<Piece> pieces, Filling filling, Set<String> missing) {
    for (Piece piece : pieces) {
      if (piece instanceof Merge merge) {
        boolean optional = !merge.code().all("b").isEmpty() || !merge.code().all("f").isEmpty();
        if (!optional && filling.of(merge.field()).saysNothing()) {
          missing.add(merge.field());
        }
      } else if (piece instanceof Line line) {
        if (!Words.of(line.pieces(), filling).isBlank()) {
          lookForMissing(line.pieces(), filling, missing);
        }
      } else if (piece instanceof Choice choice) {
        boolean holds = choice.condition().holds(filling);
        lookForMissing(holds ? choice.then() : choice.otherwise(), filling, missing);
      }
    }
  }

  /** Its parts as they are kept: without what was not needed of the file that was read. */
  public Map<String, byte[]> parts() {
    return Collections.unmodifiableMap(parts);
  }

  /** The parts of one person's document. */
  public Map<String, byte[]> fill(Filling filling) {
    Map<String, byte[]> filled = new LinkedHashMap<>(parts);
    fill(main, filling, filled);
    around.forEach(part -> fill(part, filling, filled));
    return filled;
  }

  private void fill(Part part, Filling filling, Map<String, byte[]> filled) {
    String xml = PieceWriter.write(part.pieces(), part.prefix(), filling, new Alone());
    filled.put(part.name(), xml.getBytes(StandardCharsets.UTF_8));
  }

  Part main() {
    return main;
  }

  List<Part> around() {
    return around;
  }

  boolean isFooter(Part part) {
    return "footer".equals(kinds.get(part.name()));
  }

  /** Whether a part stands above or below the text. */
  boolean isAround(String name) {
    String kind = kinds.getOrDefault(name, "");
    return kind.equals("header") || kind.equals("footer");
  }

  DocumentParts belonging() {
    return belonging;
  }

  Sections sections() {
    return sections;
  }

  /** Its lists, none of them added yet. */
  CountedLists lists() {
    return new CountedLists(numbering() == null ? null : parts.get(numbering()));
  }

  /** The part its lists stand in; null for none. */
  String numbering() {
    return belonging.relations(DocumentParts.relationsOf(belonging.main())).stream()
        .filter(r -> r.kind().equals("numbering") && parts.containsKey(r.target()))
        .map(DocumentParts.Relation::target)
        .findFirst()
        .orElse(null);
  }

  /** A letter in a file of its own. */
  private final class Alone implements PieceWriter.Place {
    @Override
    public String section(int section) {
      return sections.alone(section);
    }

    @Override
    public String closing() {
      return "";
    }

    @Override
    public String list(String number) {
      return number;
    }

    @Override
    public boolean isRepeated() {
      return false;
    }
  }
}
