package app.jemble.core.document;

import java.util.List;

/** A part of a document as it is written out, in order. */
sealed interface Piece {

  /**
   * What is the same for everybody.
   *
   * @param xml markup as it stands
   * @param repeated the same in a second letter of one file, without what must be there once
   */
  record Fixed(String xml, String repeated) implements Piece {}

  /** Words in an IF field, which stand in a run of their own. */
  record Said(String words, String look) implements Piece {}

  /**
   * A merge field.
   *
   * @param field the document's name of it
   * @param look the run properties of what it shows, as markup; empty for none
   */
  record Merge(String field, FieldCode code, String look) implements Piece {}

  /** An IF field. */
  record Choice(Condition condition, List<Piece> then, List<Piece> otherwise) implements Piece {
    public Choice {
      then = List.copyOf(then);
      otherwise = List.copyOf(otherwise);
    }
  }

  /** A paragraph of nothing but fields: it closes up where none of them says anything. */
  record Line(List<Piece> pieces) implements Piece {
    public Line {
      pieces = List.copyOf(pieces);
    }
  }

  /** The properties of a section that ends here. */
  record SectionEnd(int section) implements Piece {}

  /**
   * Where a letter ends that is followed by another in the same file.
   *
   * @param before markup that is needed around the properties of the last section
   */
  record LetterEnd(String before, String after) implements Piece {}

  /** What list a paragraph is counted in. */
  record ListOf(String number) implements Piece {}

  /** Where the text of the body begins and where it ends. */
  record Bound() implements Piece {}
}
