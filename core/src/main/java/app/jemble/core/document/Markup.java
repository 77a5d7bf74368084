package app.jemble.core.document;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.w3c.dom.Attr;
import org.w3c.dom.DOMConfiguration;
import org.w3c.dom.DOMErrorHandler;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NamedNodeMap;
import org.w3c.dom.Node;
import org.w3c.dom.bootstrap.DOMImplementationRegistry;
import org.w3c.dom.ls.DOMImplementationLS;
import org.w3c.dom.ls.LSException;
import org.w3c.dom.ls.LSInput;
import org.w3c.dom.ls.LSParser;
import org.w3c.dom.ls.LSSerializer;

/** The XML of a document's parts, read and written. */
final class Markup {

  static final String WORDS = "http://schemas.openxmlformats.org/wordprocessingml/2006/main";
  static final String RELATIONS =
      "http://schemas.openxmlformats.org/officeDocument/2006/relationships";
  static final String HEAD = "<?xml version=\"1.0\" encoding=\"UTF-8\" standalone=\"yes\"?>\n";

  /** Text boxes in tables in text boxes go some forty deep; whoever goes further means harm. */
  private static final int DEEPEST = 400;

  private static final DOMImplementationLS DOM = implementation();

  private Markup() {}

  private static DOMImplementationLS implementation() {
    try {
      return (DOMImplementationLS)
          DOMImplementationRegistry.newInstance().getDOMImplementation("LS 3.0");
    } catch (ReflectiveOperationException impossible) {
      throw new IllegalStateException(impossible);
    }
  }

  /** Refuses what is not well formed, declares a type of its own, or goes too deep. */
  static Document read(byte[] xml) {
    LSParser parser = DOM.createLSParser(DOMImplementationLS.MODE_SYNCHRONOUS, null);
    DOMConfiguration how = parser.getDomConfig();
    how.setParameter("disallow-doctype", true);
    how.setParameter("comments", false);
    how.setParameter("cdata-sections", false);
    how.setParameter("error-handler", (DOMErrorHandler) error -> false);
    LSInput input = DOM.createLSInput();
    input.setStringData(decoded(xml));
    try {
      Document document = parser.parse(input);
      if (document == null || document.getDocumentElement() == null || isTooDeep(document)) {
        throw broken();
      }
      return document;
    } catch (LSException notWellFormed) {
      throw broken();
    }
  }

  private static DocumentRefused broken() {
    return new DocumentRefused("The document is broken: a part of it cannot be read.");
  }

  /** In UTF-8 or UTF-16, as ISO/IEC 29500-2, 8.1.4 asks. */
  private static String decoded(byte[] xml) {
    boolean wide = xml.length > 1 && ((xml[0] & 0xff) >= 0xfe && (xml[1] & 0xff) >= 0xfe);
    Charset charset = wide ? StandardCharsets.UTF_16 : StandardCharsets.UTF_8;
    try {
      String text = charset.newDecoder().decode(ByteBuffer.wrap(xml)).toString();
      return text.startsWith("\ufeff") ? text.substring(1) : text;
    } catch (CharacterCodingException other) {
      throw broken();
    }
  }

  /** Walks without going down itself. */
  private static boolean isTooDeep(Document document) {
    int depth = 0;
    Node at = document.getDocumentElement();
    while (at != null) {
      if (at.getFirstChild() != null) {
        at = at.getFirstChild();
        if (++depth > DEEPEST) {
          return true;
        }
        continue;
      }
      while (at != null && at.getNextSibling() == null) {
        at = at.getParentNode();
        depth--;
      }
      at = at == null ? null : at.getNextSibling();
    }
    return false;
  }

  /** An element and all in it; what the root declares is not declared again. */
  static String write(Element element) {
    LSSerializer serializer = DOM.createLSSerializer();
    serializer.getDomConfig().setParameter("xml-declaration", false);
    String xml = serializer.writeToString(element);
    Element root = element.getOwnerDocument().getDocumentElement();
    return element.equals(root) ? xml : withoutDeclarations(xml, root);
  }

  private static String withoutDeclarations(String xml, Element root) {
    String out = xml;
    NamedNodeMap all = root.getAttributes();
    for (int i = 0; i < all.getLength(); i++) {
      Attr each = (Attr) all.item(i);
      if (each.getName().startsWith("xmlns:")) {
        out = out.replace(" " + each.getName() + "=\"" + each.getValue() + "\"", "");
      }
    }
    return out;
  }

  static boolean is(Node node, String name) {
    return node instanceof Element element
        && WORDS.equals(element.getNamespaceURI())
        && name.equals(element.getLocalName());
  }

  static List<Node> children(Node parent) {
    List<Node> all = new ArrayList<>();
    for (Node n = parent.getFirstChild(); n != null; n = n.getNextSibling()) {
      all.add(n);
    }
    return all;
  }

  static List<Element> elements(Node parent) {
    List<Element> all = new ArrayList<>();
    for (Node each : children(parent)) {
      if (each instanceof Element element) {
        all.add(element);
      }
    }
    return all;
  }

  /** Each element of a name below another, in order of the document. */
  static List<Element> all(Node parent, String name) {
    List<Element> found = new ArrayList<>();
    for (Element each : elements(parent)) {
      if (is(each, name)) {
        found.add(each);
      }
      found.addAll(all(each, name));
    }
    return found;
  }

  /** The first child of a name; null for none. */
  static Element child(Node parent, String name) {
    return elements(parent).stream().filter(e -> is(e, name)).findFirst().orElse(null);
  }

  static String attribute(Element element, String name) {
    return element.getAttributeNS(WORDS, name);
  }

  /** Without what XML cannot hold. */
  static String escaped(String words) {
    StringBuilder out = new StringBuilder(words.length() + 16);
    words
        .codePoints()
        .filter(c -> c >= 0x20 && c != 0xfffe && c != 0xffff && (c < 0xd800 || c > 0xdfff))
        .forEach(
            c -> {
              switch (c) {
                case '&' -> out.append("&amp;");
                case '<' -> out.append("&lt;");
                case '>' -> out.append("&gt;");
                default -> out.appendCodePoint(c);
              }
            });
    return out.toString();
  }
}
