package app.jemble.core.document;

import app.jemble.core.document.Piece.Choice;
import app.jemble.core.document.Piece.Fixed;
import app.jemble.core.document.Piece.Line;
import app.jemble.core.document.Piece.Merge;
import app.jemble.core.document.Piece.Said;
import java.util.ArrayList;
import java.util.List;
import org.jsoup.parser.Parser;

/**
 * What a part says, as pieces without markup: its text, a line for each paragraph. What is kept for
 * older readers beside the same in a newer form is said once.
 */
final class PlainWords {

  private static final String FALLBACK = "mc:Fallback";

  private final String prefix;
  private int skipped;
  private boolean inText;

  private PlainWords(String prefix) {
    this.prefix = prefix;
  }

  static List<Piece> of(List<Piece> pieces, String prefix) {
    return new PlainWords(prefix).plain(pieces);
  }

  private List<Piece> plain(List<Piece> pieces) {
    List<Piece> words = new ArrayList<>();
    for (Piece piece : pieces) {
      if (piece instanceof Fixed fixed) {
        words.add(new Said(text(fixed.xml()), ""));
      } else if (piece instanceof Line line) {
        List<Piece> inside = plain(line.pieces());
        if (skipped == 0) {
          words.add(new Line(inside));
        }
      } else if (skipped == 0 && (piece instanceof Merge || piece instanceof Choice)) {
        words.add(piece);
      }
    }
    return words;
  }

  private String text(String xml) {
    StringBuilder out = new StringBuilder();
    int at = 0;
    while (at < xml.length()) {
      int tag = xml.indexOf('<', at);
      int end = tag < 0 ? xml.length() : tag;
      if (inText && skipped == 0) {
        out.append(Parser.unescapeEntities(xml.substring(at, end), false));
      }
      if (tag < 0) {
        break;
      }
      int close = xml.indexOf('>', tag);
      read(xml.substring(tag + 1, close), out);
      at = close + 1;
    }
    return out.toString();
  }

  /**
   * @param tag without its angle brackets
   */
  private void read(String tag, StringBuilder out) {
    boolean closes = tag.startsWith("/");
    boolean empty = tag.endsWith("/");
    String name = tag.substring(closes ? 1 : 0).split("[ /]", 2)[0];
    if (name.equals(FALLBACK) && !empty) {
      skipped += closes ? -1 : 1;
    }
    if (skipped > 0) {
      return;
    }
    if (name.equals(prefix + "t")) {
      inText = !closes && !empty;
    } else if (name.equals(prefix + "tab") && empty && !tag.contains("val=")) {
      out.append('\t');
    } else if (name.equals(prefix + "br") || name.equals(prefix + "p") && closes) {
      out.append('\n');
    }
  }
}
