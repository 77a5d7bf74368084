package app.jemble.core.document;

import app.jemble.core.document.Piece.Choice;
import app.jemble.core.document.Piece.Fixed;
import app.jemble.core.document.Piece.LetterEnd;
import app.jemble.core.document.Piece.Line;
import app.jemble.core.document.Piece.ListOf;
import app.jemble.core.document.Piece.Merge;
import app.jemble.core.document.Piece.Said;
import app.jemble.core.document.Piece.SectionEnd;
import java.util.List;

/** Writes the markup of one person's part. */
final class PieceWriter {

  /** What differs where several letters stand in one file. */
  interface Place {

    /** The properties of a section. */
    String section(int section);

    /** Those of the last section of a letter; empty where no other letter follows. */
    String closing();

    /** What a list is called here. */
    String list(String number);

    /** Whether it is a second letter in the same file, or a later one. */
    boolean isRepeated();
  }

  private final String prefix;
  private final Filling filling;
  private final Place place;
  private final StringBuilder out = new StringBuilder();

  private PieceWriter(String prefix, Filling filling, Place place) {
    this.prefix = prefix;
    this.filling = filling;
    this.place = place;
  }

  /**
   * @param prefix what the part calls the namespace of words
   */
  static String write(List<Piece> pieces, String prefix, Filling filling, Place place) {
    PieceWriter writer = new PieceWriter(prefix, filling, place);
    writer.writeAll(pieces);
    return writer.out.toString();
  }

  private void writeAll(List<Piece> pieces) {
    pieces.forEach(this::write);
  }

  private void write(Piece piece) {
    if (piece instanceof Fixed fixed) {
      out.append(place.isRepeated() ? fixed.repeated() : fixed.xml());
    } else if (piece instanceof Said said) {
      run(said.words(), said.look());
    } else if (piece instanceof Merge merge) {
      run(Words.of(merge, filling), merge.look());
    } else if (piece instanceof Choice choice) {
      writeAll(choice.condition().holds(filling) ? choice.then() : choice.otherwise());
    } else if (piece instanceof Line line) {
      if (!Words.of(line.pieces(), filling).isBlank()) {
        writeAll(line.pieces());
      }
    } else if (piece instanceof SectionEnd end) {
      out.append(place.section(end.section()));
    } else if (piece instanceof LetterEnd end) {
      String closing = place.closing();
      out.append(closing.isEmpty() ? "" : end.before() + closing + end.after());
    } else if (piece instanceof ListOf list) {
      out.append('<').append(prefix).append("numId ").append(prefix).append("val=\"");
      out.append(place.list(list.number())).append("\"/>");
    }
  }

  private void run(String words, String look) {
    if (words.isEmpty()) {
      return;
    }
    out.append('<').append(prefix).append("r>").append(look);
    int from = 0;
    for (int at = 0; at <= words.length(); at++) {
      char c = at < words.length() ? words.charAt(at) : '\n';
      if (c != '\n' && c != '\t') {
        continue;
      }
      text(words.substring(from, at));
      if (at < words.length()) {
        out.append('<').append(prefix).append(c == '\n' ? "br/>" : "tab/>");
      }
      from = at + 1;
    }
    out.append("</").append(prefix).append("r>");
  }

  private void text(String words) {
    if (!words.isEmpty()) {
      out.append('<').append(prefix).append("t xml:space=\"preserve\">");
      out.append(Markup.escaped(words)).append("</").append(prefix).append("t>");
    }
  }
}
