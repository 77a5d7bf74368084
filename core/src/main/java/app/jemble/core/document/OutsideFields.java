package app.jemble.core.document;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Set;
import org.w3c.dom.Document;
import org.w3c.dom.Element;

/** Fields that fetch something from elsewhere or start something: a document has none. */
final class OutsideFields {

  private static final Set<String> REFUSED =
      Set.of(
          "INCLUDETEXT",
          "INCLUDEPICTURE",
          "INCLUDE",
          "IMPORT",
          "DDE",
          "DDEAUTO",
          "LINK",
          "EMBED",
          "DATABASE",
          "RD",
          "MACROBUTTON");

  private final Deque<StringBuilder> open = new ArrayDeque<>();

  private OutsideFields() {}

  /** However its instruction is parted into runs, and wherever it ends. */
  static void refuse(Document document) {
    OutsideFields fields = new OutsideFields();
    fields.visit(document.getDocumentElement());
    while (!fields.open.isEmpty()) {
      refuse(fields.open.pop().toString());
    }
  }

  private void visit(Element parent) {
    for (Element each : Markup.elements(parent)) {
      if (Markup.is(each, "fldSimple")) {
        refuse(Markup.attribute(each, "instr"));
      } else if (Markup.is(each, "instrText") && !open.isEmpty()) {
        open.peek().append(each.getTextContent());
      } else if (Markup.is(each, "fldChar")) {
        mark(Markup.attribute(each, "fldCharType"));
      }
      visit(each);
    }
  }

  private void mark(String kind) {
    if (kind.equals("begin")) {
      open.push(new StringBuilder());
    } else if (kind.equals("end") && !open.isEmpty()) {
      refuse(open.pop().toString());
    }
  }

  private static void refuse(String instruction) {
    String kind = FieldCode.read(instruction).kind();
    if (REFUSED.contains(kind)) {
      throw new DocumentRefused(
          "The field "
              + kind
              + " takes something from elsewhere. Put it into the document itself.");
    }
  }
}
