package app.jemble.core.document;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.Node;
import org.w3c.dom.ProcessingInstruction;

/**
 * Reads one part of a document into pieces. What means something is taken out of its markup and a
 * mark is left in its place; then the markup is written and parted at the marks.
 */
final class PartReader {

  private static final String MARK = "jemble";
  private static final Pattern MARKS = Pattern.compile("<\\?" + MARK + " (\\d+)\\?>");

  /** What must be there once in a file. */
  private static final Pattern ONCE =
      Pattern.compile("<w:bookmark(?:Start|End)\\b[^>]*/>| w14:(?:paraId|textId)=\"[^\"]*\"");

  private final Document document;
  private final FieldReader fields;
  private final List<Piece> marked = new ArrayList<>();

  PartReader(Document document, FieldReader fields) {
    this.document = document;
    this.fields = fields;
    withoutMarks(document.getDocumentElement());
  }

  Document document() {
    return document;
  }

  /** Nobody's document holds our marks. */
  private static void withoutMarks(Node parent) {
    for (Node each : Markup.children(parent)) {
      if (each instanceof ProcessingInstruction) {
        parent.removeChild(each);
      } else {
        withoutMarks(each);
      }
    }
  }

  /** Puts a piece where a node stands, which goes. */
  void replace(Node node, Piece piece) {
    node.getParentNode().replaceChild(mark(piece), node);
  }

  Node mark(Piece piece) {
    marked.add(piece);
    return document.createProcessingInstruction(MARK, String.valueOf(marked.size() - 1));
  }

  /** Takes the fields out. */
  void readFields() {
    visit(document.getDocumentElement());
    closeUp();
  }

  /** All of the part, its head included. */
  List<Piece> pieces() {
    List<Piece> pieces = new ArrayList<>();
    pieces.add(fixed(Markup.HEAD));
    pieces.addAll(parted(Markup.write(document.getDocumentElement())));
    return pieces;
  }

  private void visit(Element parent) {
    FieldNodes.partRuns(parent);
    List<Node> siblings = Markup.children(parent);
    int at = 0;
    while (at < siblings.size()) {
      Node node = siblings.get(at);
      if (Markup.is(node, "fldSimple")) {
        replaceSimple((Element) node);
        at++;
      } else if (FieldNodes.isMark(node, "begin")) {
        at = replaceField(parent, siblings, at);
      } else {
        at++;
      }
    }
    Markup.elements(parent).forEach(this::visit);
  }

  private void replaceSimple(Element field) {
    fields.read(FieldNodes.ofSimple(field)).ifPresent(piece -> replace(field, piece));
  }

  /**
   * @return where to go on
   */
  private int replaceField(Element parent, List<Node> siblings, int begin) {
    int end = FieldNodes.end(siblings, begin);
    if (end < 0) {
      tellOfOpen(siblings, begin);
      return begin + 1;
    }
    List<Node> nodes = siblings.subList(begin, end + 1);
    Optional<Piece> piece = fields.read(FieldNodes.of(nodes));
    if (piece.isEmpty()) {
      // What it shows may hold fields that can be filled; what it asks stays as it is.
      return begin + result(nodes);
    }
    parent.insertBefore(mark(piece.get()), nodes.get(0));
    nodes.stream()
        .filter(n -> !Markup.is(n, "bookmarkStart") && !Markup.is(n, "bookmarkEnd"))
        .forEach(parent::removeChild);
    return end + 1;
  }

  /** Where what a field shows begins, counted from its beginning. */
  private static int result(List<Node> nodes) {
    int depth = 0;
    for (int i = 0; i < nodes.size(); i++) {
      if (FieldNodes.isMark(nodes.get(i), "begin")) {
        depth++;
      } else if (FieldNodes.isMark(nodes.get(i), "end")) {
        depth--;
      } else if (depth == 1 && FieldNodes.isMark(nodes.get(i), "separate")) {
        return i + 1;
      }
    }
    return nodes.size();
  }

  /** A field that ends in another paragraph: said where it would have been filled. */
  private void tellOfOpen(List<Node> siblings, int begin) {
    List<Node> open = new ArrayList<>(siblings.subList(begin, siblings.size()));
    for (int i = 0; i < open.size(); i++) {
      if (i > 0 && FieldNodes.isMark(open.get(i), "begin") && FieldNodes.end(open, i) < 0) {
        open = open.subList(0, i);
      }
    }
    open.add(siblings.get(begin));
    FieldNodes field = FieldNodes.of(open);
    if (FieldCode.read(field.words()).kind().equals("IF")) {
      fields.remark(field, "goes over several paragraphs and stays as it stands; put it into one.");
    }
  }

  /** Finds paragraphs of nothing but fields. */
  private void closeUp() {
    for (Element paragraph : Markup.all(document, "p")) {
      if (isOfFieldsAlone(paragraph) && isFollowed(paragraph)) {
        replace(paragraph, new Piece.Line(parted(Markup.write(paragraph))));
      }
    }
  }

  private boolean isOfFieldsAlone(Element paragraph) {
    boolean any = false;
    for (Node each : Markup.children(paragraph)) {
      if (each instanceof ProcessingInstruction mark) {
        Piece piece = marked.get(Integer.parseInt(mark.getData()));
        if (!(piece instanceof Piece.Merge || piece instanceof Piece.Choice)) {
          return false;
        }
        any = true;
      } else if (Markup.is(each, "pPr")) {
        if (hasMarks(each)) {
          return false;
        }
      } else if (each instanceof Element && !saysNothing((Element) each)) {
        return false;
      }
    }
    return any;
  }

  static boolean hasMarks(Node node) {
    return Markup.children(node).stream()
        .anyMatch(each -> each instanceof ProcessingInstruction || hasMarks(each));
  }

  private static boolean saysNothing(Element element) {
    if (Markup.is(element, "proofErr")
        || Markup.is(element, "bookmarkStart")
        || Markup.is(element, "bookmarkEnd")) {
      return true;
    }
    return Markup.is(element, "r")
        && Markup.elements(element).stream()
            .allMatch(
                each ->
                    Markup.is(each, "rPr")
                        || Markup.is(each, "t") && each.getTextContent().isBlank());
  }

  /** The last paragraph of a cell, a text box or the whole must stay. */
  private static boolean isFollowed(Element paragraph) {
    for (Node n = paragraph.getNextSibling(); n != null; n = n.getNextSibling()) {
      if (Markup.is(n, "p")) {
        return true;
      }
    }
    return false;
  }

  /** Markup with marks in it, as pieces. */
  List<Piece> parted(String xml) {
    List<Piece> pieces = new ArrayList<>();
    int at = 0;
    for (MatchResult mark : MARKS.matcher(xml).results().toList()) {
      if (mark.start() > at) {
        pieces.add(fixed(xml.substring(at, mark.start())));
      }
      pieces.add(marked.get(Integer.parseInt(mark.group(1))));
      at = mark.end();
    }
    if (at < xml.length()) {
      pieces.add(fixed(xml.substring(at)));
    }
    return pieces;
  }

  private static Piece fixed(String xml) {
    return new Piece.Fixed(xml, ONCE.matcher(xml).replaceAll(""));
  }
}
