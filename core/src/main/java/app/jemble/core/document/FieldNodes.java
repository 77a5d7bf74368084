package app.jemble.core.document;

import java.util.ArrayList;
import java.util.List;
import org.w3c.dom.Element;
import org.w3c.dom.Node;

/**
 * One field as its runs stand in a paragraph, from its beginning to its end.
 *
 * @param code what it is asked, in order
 * @param result what it shows until it is asked anew
 */
record FieldNodes(List<Token> code, List<Node> result) {

  /** A piece of its instruction. */
  sealed interface Token {}

  /**
   * Words of it.
   *
   * @param look the run properties of these words, as markup
   */
  record Text(String words, String look) implements Token {}

  /** A field in it. */
  record Inner(FieldNodes field) implements Token {}

  /** Something that is no text, such as a picture. */
  record Other() implements Token {}

  FieldNodes {
    code = List.copyOf(code);
    result = List.copyOf(result);
  }

  /** What the instruction says, without the fields in it. */
  String words() {
    StringBuilder out = new StringBuilder();
    for (Token token : code) {
      out.append(token instanceof Text text ? text.words() : "");
    }
    return out.toString();
  }

  boolean isPlain() {
    return code.stream().allMatch(Text.class::isInstance);
  }

  /** How what it shows looks: as it looked before, else as its instruction does. */
  String look() {
    for (Node node : result) {
      if (Markup.is(node, "r")) {
        return lookOf((Element) node);
      }
    }
    return code.stream()
        .filter(Text.class::isInstance)
        .map(token -> ((Text) token).look())
        .findFirst()
        .orElse("");
  }

  /**
   * @param nodes from its beginning to its end, each run with one thing in it
   */
  static FieldNodes of(List<Node> nodes) {
    List<Token> code = new ArrayList<>();
    List<Node> result = new ArrayList<>();
    boolean shows = false;
    for (int i = 1; i < nodes.size() - 1; i++) {
      Node node = nodes.get(i);
      if (shows) {
        result.add(node);
      } else if (isMark(node, "separate")) {
        shows = true;
      } else if (isMark(node, "begin")) {
        int end = end(nodes, i);
        code.add(new Inner(of(nodes.subList(i, end + 1))));
        i = end;
      } else if (Markup.is(node, "fldSimple")) {
        code.add(new Inner(ofSimple((Element) node)));
      } else if (Markup.is(node, "r")) {
        code.add(token((Element) node));
      }
    }
    return new FieldNodes(code, result);
  }

  static FieldNodes ofSimple(Element field) {
    List<Node> result = Markup.children(field);
    return new FieldNodes(List.of(new Text(Markup.attribute(field, "instr"), "")), result);
  }

  private static Token token(Element run) {
    StringBuilder words = new StringBuilder();
    for (Element each : Markup.elements(run)) {
      switch (each.getLocalName()) {
        case "instrText", "t" -> words.append(each.getTextContent());
        case "br", "cr" -> words.append('\n');
        case "tab" -> words.append('\t');
        case "rPr", "lastRenderedPageBreak", "softHyphen" -> {}
        default -> {
          return new Other();
        }
      }
    }
    return new Text(words.toString(), lookOf(run));
  }

  private static String lookOf(Element run) {
    Element look = Markup.child(run, "rPr");
    return look == null ? "" : Markup.write(look);
  }

  /** Whether a run holds the begin, separate or end of a field. */
  static boolean isMark(Node node, String kind) {
    if (!Markup.is(node, "r")) {
      return false;
    }
    Element mark = Markup.child(node, "fldChar");
    return mark != null && kind.equals(Markup.attribute(mark, "fldCharType"));
  }

  /** Where the field that begins at a place ends among its siblings; −1 where it does not. */
  static int end(List<Node> siblings, int begin) {
    int depth = 0;
    for (int i = begin; i < siblings.size(); i++) {
      if (isMark(siblings.get(i), "begin")) {
        depth++;
      } else if (isMark(siblings.get(i), "end") && --depth == 0) {
        return i;
      }
    }
    return -1;
  }

  /** Parts runs that hold a mark of a field and something else beside it. */
  static void partRuns(Element parent) {
    for (Element run : Markup.elements(parent)) {
      if (!Markup.is(run, "r") || Markup.child(run, "fldChar") == null) {
        continue;
      }
      Element look = Markup.child(run, "rPr");
      List<Element> inside = Markup.elements(run);
      inside.remove(look);
      if (inside.size() < 2) {
        continue;
      }
      for (Element each : inside) {
        Node alone = run.cloneNode(false);
        if (look != null) {
          alone.appendChild(look.cloneNode(true));
        }
        alone.appendChild(each);
        parent.insertBefore(alone, run);
      }
      parent.removeChild(run);
    }
  }
}
