package app.jemble.core.document;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.w3c.dom.Element;
import org.w3c.dom.Node;

/**
 * The sections of a document (ISO/IEC 29500-1, 17.6). Where letters stand in one file, the first
 * section of each begins a new page, or a new sheet, and counts its pages from 1.
 */
final class Sections {

  private static final Set<String> BEFORE_TYPE =
      Set.of("headerReference", "footerReference", "footnotePr", "endnotePr");
  private static final Set<String> BEFORE_NUMBERS =
      Set.of("type", "pgSz", "pgMar", "paperSrc", "pgBorders", "lnNumType");

  /**
   * One of them.
   *
   * @param xml as it stands
   * @param joined as it stands where letters follow one another
   */
  private record Section(String xml, String joined) {}

  private final List<Section> all = new ArrayList<>();
  private final String prefix;

  private Sections(String prefix) {
    this.prefix = prefix;
  }

  /** Takes the sections out of the main part, and marks where its letters begin and end. */
  static Sections takeOut(PartReader part, String prefix) {
    Sections sections = new Sections(prefix);
    Element body = Markup.child(part.document().getDocumentElement(), "body");
    if (body == null) {
      throw new DocumentRefused(DocumentRefused.NO_DOCUMENT);
    }
    if (Markup.child(body, "sectPr") == null) {
      body.appendChild(sections.element(body, "sectPr"));
    }
    Element last = Markup.child(body, "sectPr");
    for (Element each : Markup.all(body, "sectPr")) {
      if (Markup.is(each.getParentNode(), "sectPrChange")) {
        continue;
      }
      sections.add(each);
      if (each.equals(last)) {
        sections.markEnd(part, body, last);
      }
      part.replace(each, new Piece.SectionEnd(sections.all.size() - 1));
    }
    body.insertBefore(part.mark(new Piece.Bound()), body.getFirstChild());
    return sections;
  }

  private void markEnd(PartReader part, Element body, Element last) {
    body.insertBefore(part.mark(new Piece.Bound()), last);
    Node mark = last.getPreviousSibling();
    Node end = mark.getPreviousSibling();
    while (end != null && !(end instanceof Element)) {
      end = end.getPreviousSibling();
    }
    Element look = Markup.is(end, "p") ? Markup.child(end, "pPr") : null;
    if (!Markup.is(end, "p") || look != null && PartReader.hasMarks(look)) {
      String open = "<" + prefix + "p><" + prefix + "pPr>";
      Piece.LetterEnd paragraph =
          new Piece.LetterEnd(open, "</" + prefix + "pPr></" + prefix + "p>");
      body.insertBefore(part.mark(paragraph), mark);
      return;
    }
    if (look == null) {
      look = element(body, "pPr");
      end.insertBefore(look, end.getFirstChild());
    }
    look.insertBefore(part.mark(new Piece.LetterEnd("", "")), Markup.child(look, "pPrChange"));
  }

  private Element element(Element beside, String name) {
    return beside.getOwnerDocument().createElementNS(Markup.WORDS, prefix + name);
  }

  private void add(Element section) {
    String xml = Markup.write(section);
    if (all.isEmpty()) {
      Element type = Markup.child(section, "type");
      if (type != null) {
        section.removeChild(type);
      }
      Element begins = element(section, "type");
      begins.setAttributeNS(Markup.WORDS, prefix + "val", "nextPage");
      section.insertBefore(begins, after(section, BEFORE_TYPE));
      Element numbers = Markup.child(section, "pgNumType");
      if (numbers == null) {
        numbers = element(section, "pgNumType");
        section.insertBefore(numbers, after(section, BEFORE_NUMBERS));
      }
      if (Markup.attribute(numbers, "start").isEmpty()) {
        numbers.setAttributeNS(Markup.WORDS, prefix + "start", "1");
      }
    }
    all.add(new Section(xml, Markup.write(section)));
  }

  /** The first child that comes after all of these; null for the end. */
  private static Node after(Element section, Set<String> names) {
    Node next = null;
    List<Element> children = Markup.elements(section);
    for (int i = children.size() - 1; i >= 0; i--) {
      String name = children.get(i).getLocalName();
      if (names.contains(name) || BEFORE_TYPE.contains(name)) {
        break;
      }
      next = children.get(i);
    }
    return next;
  }

  int count() {
    return all.size();
  }

  String alone(int section) {
    return all.get(section).xml();
  }

  /**
   * In a file of several letters.
   *
   * @param sheets whether each letter begins on a sheet of its own
   * @param own what the letter's own headers and footers are called, by what they are called in the
   *     document
   */
  String joined(int section, boolean sheets, Map<String, String> own) {
    String xml = all.get(section).joined();
    if (sheets && section == 0) {
      xml =
          xml.replace(
              prefix + "type " + prefix + "val=\"nextPage\"",
              prefix + "type " + prefix + "val=\"oddPage\"");
    }
    for (Map.Entry<String, String> each : own.entrySet()) {
      xml = xml.replace(":id=\"" + each.getKey() + "\"", ":id=\"" + each.getValue() + "\"");
    }
    return xml;
  }
}
