package app.jemble.core.document;

import app.jemble.core.document.Piece.Choice;
import app.jemble.core.document.Piece.Line;
import app.jemble.core.document.Piece.Merge;
import app.jemble.core.document.Piece.Said;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What the fields of a document say to one person, without markup. */
final class Words {

  private Words() {}

  /** What is fixed markup says nothing. */
  static String of(List<Piece> pieces, Filling filling) {
    StringBuilder out = new StringBuilder();
    for (Piece piece : pieces) {
      if (piece instanceof Said said) {
        out.append(said.words());
      } else if (piece instanceof Merge merge) {
        out.append(of(merge, filling));
      } else if (piece instanceof Choice choice) {
        out.append(
            of(choice.condition().holds(filling) ? choice.then() : choice.otherwise(), filling));
      } else if (piece instanceof Line line) {
        String inside = of(line.pieces(), filling);
        out.append(inside.isBlank() ? "" : inside);
      }
    }
    return out.toString();
  }

  /** With its pictures, its words before and after, in the letters it asks for. */
  static String of(Merge merge, Filling filling) {
    DocumentValue value = filling.of(merge.field());
    if (value.saysNothing()) {
      return "";
    }
    FieldCode code = merge.code();
    String text = pictured(code, value, filling.language());
    for (String wanted : code.all("*")) {
      text = inLetters(text, wanted, filling.language());
    }
    return code.first("b").orElse("") + text + code.first("f").orElse("");
  }

  private static String pictured(FieldCode code, DocumentValue value, Locale language) {
    Optional<String> date =
        code.first("@").flatMap(p -> value.date().flatMap(d -> DatePicture.apply(p, d, language)));
    Optional<String> number =
        code.first("#").flatMap(p -> value.number().map(n -> NumberPicture.apply(p, n, language)));
    return date.or(() -> number).orElse(value.text());
  }

  private static String inLetters(String text, String wanted, Locale language) {
    return switch (wanted.toLowerCase(Locale.ROOT)) {
      case "upper" -> text.toUpperCase(language);
      case "lower" -> text.toLowerCase(language);
      case "firstcap" -> capital(text, language);
      case "caps" -> capitals(text, language);
      default -> text;
    };
  }

  private static String capital(String text, Locale language) {
    if (text.isEmpty()) {
      return text;
    }
    int end = text.offsetByCodePoints(0, 1);
    return text.substring(0, end).toUpperCase(language) + text.substring(end);
  }

  private static String capitals(String text, Locale language) {
    StringBuilder out = new StringBuilder();
    boolean first = true;
    for (int i = 0; i < text.length(); ) {
      int end = text.offsetByCodePoints(i, 1);
      String letter = text.substring(i, end);
      out.append(first ? letter.toUpperCase(language) : letter);
      first = letter.isBlank();
      i = end;
    }
    return out.toString();
  }
}
