package app.jemble.core.message;

import java.util.List;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;
import org.jsoup.parser.Parser;

/** The text part of a message, made from its HTML: reads like it, with links, lists and rules. */
public final class PlainText {

  private static final List<String> PARAGRAPHS =
      List.of("p", "h1", "h2", "h3", "ul", "ol", "blockquote", "table", "pre");
  private static final List<String> LINES = List.of("div", "tr", "li");

  /** What stands deeper is read without a further mark or indent. */
  private static final int DEEPEST_INDENT = 12;

  /** Elements in one another; browsers have a like bound, and nobody writes so deep. */
  private static final int DEEPEST = 200;

  private static final Pattern BLANKS = Pattern.compile("\\s++");
  private static final Pattern LINE_STARTS = Pattern.compile("(?m)^");
  private static final Pattern LINE_ENDS = Pattern.compile("\\n++");

  private final StringBuilder out = new StringBuilder();
  private final UnaryOperator<String> shown;
  private final int indent;

  private PlainText(UnaryOperator<String> shown, int indent) {
    this.shown = shown;
    this.indent = indent;
  }

  /**
   * {@code <p>Dear Bea,</p><p>See <a href="https://quay.example">the times</a>.</p>} gives "Dear
   * Bea,", an empty line, "See the times (https://quay.example)." and a line end.
   */
  public static String fromHtml(String html) {
    return fromHtml(html, address -> address);
  }

  /**
   * @param shown what is written for the address of a link
   */
  static String fromHtml(String html, UnaryOperator<String> shown) {
    Parser parser = Parser.htmlParser();
    parser.setMaxDepth(DEEPEST);
    PlainText text = new PlainText(shown, 0);
    text.readAll(Jsoup.parse(html, "", parser).body());
    return text.words() + "\n";
  }

  private String words() {
    return withoutTrailingBlanks(out).strip();
  }

  /** Character by character: an expression for it takes ten times as long on deep lists. */
  private static String withoutTrailingBlanks(CharSequence text) {
    StringBuilder kept = new StringBuilder(text.length());
    // Where the blanks begin that nothing has come after yet.
    int blanks = 0;
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      if (c == '\n') {
        kept.setLength(blanks);
      }
      kept.append(c);
      if (c != ' ' && c != '\t' && c != '\u00a0') {
        blanks = kept.length();
      }
    }
    return kept.toString();
  }

  private void readAll(Element parent) {
    int place = 0;
    for (Node node : parent.childNodes()) {
      if (node instanceof TextNode words) {
        addWords(words.text());
      } else if (node instanceof Element element) {
        read(element, ++place);
      }
    }
  }

  /**
   * @param place among the elements of the same parent, from 1
   */
  private void read(Element element, int place) {
    String tag = element.normalName();
    switch (tag) {
      case "br" -> out.append('\n');
      case "hr" -> {
        startLines(2);
        out.append("--------");
        startLines(2);
      }
      case "img" -> addWords(element.attr("alt").isBlank() ? "" : "[" + element.attr("alt") + "]");
      case "a" -> addLink(element);
      case "td", "th" -> {
        out.append(onOneLine(inside(element)));
        out.append("  ");
      }
      default -> readBlock(element, tag, place);
    }
  }

  private static String onOneLine(String words) {
    return BLANKS
        .matcher(words)
        .replaceAll(blanks -> blanks.group().indexOf('\n') < 0 ? blanks.group() : " ");
  }

  private void readBlock(Element element, String tag, int place) {
    int lines = PARAGRAPHS.contains(tag) ? 2 : LINES.contains(tag) ? 1 : 0;
    startLines(tag.equals("li") ? 1 : lines);
    if (tag.equals("li")) {
      out.append(
          element.parent() != null && element.parent().normalName().equals("ol")
              ? place + ". "
              : "- ");
    }
    if (indent >= DEEPEST_INDENT) {
      readAll(element);
    } else if (tag.equals("blockquote")) {
      out.append(LINE_STARTS.matcher(inside(element)).replaceAll("> "));
    } else if (tag.equals("li")) {
      out.append(LINE_ENDS.matcher(inside(element)).replaceAll("\n  "));
    } else {
      readAll(element);
    }
    startLines(lines);
  }

  private String inside(Element element) {
    PlainText inner = new PlainText(shown, indent + 1);
    inner.readAll(element);
    return inner.words();
  }

  private void addLink(Element link) {
    String words = link.text();
    String address = link.attr("href");
    readAll(link);
    boolean same = address.isEmpty() || address.equals(words) || address.equals("mailto:" + words);
    if (!same) {
      out.append(" (").append(shown.apply(address)).append(')');
    }
  }

  private void addWords(String words) {
    boolean atLineStart = out.length() == 0 || out.charAt(out.length() - 1) == '\n';
    out.append(atLineStart ? words.stripLeading() : words);
  }

  /** Makes sure that so many line ends stand before what comes next. */
  private void startLines(int lines) {
    if (out.length() == 0 || lines == 0) {
      return;
    }
    while (out.length() > 0 && (out.charAt(out.length() - 1) == ' ')) {
      out.setLength(out.length() - 1);
    }
    int have = 0;
    while (have < out.length() && out.charAt(out.length() - 1 - have) == '\n') {
      have++;
    }
    for (int i = have; i < lines; i++) {
      out.append('\n');
    }
  }
}
