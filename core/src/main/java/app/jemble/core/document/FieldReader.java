package app.jemble.core.document;

import app.jemble.core.document.FieldNodes.Inner;
import app.jemble.core.document.FieldNodes.Text;
import app.jemble.core.document.FieldNodes.Token;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/** What the fields of a document mean. */
final class FieldReader {

  /** Fields that take something from a list of people. */
  private static final Set<String> MERGED = Set.of("MERGEFIELD", "ADDRESSBLOCK", "GREETINGLINE");

  /** Switches that a merge field may carry without a remark. */
  private static final Set<String> KNOWN =
      Set.of("upper", "lower", "firstcap", "caps", "mergeformat", "charformat");

  /** Fields of a merge that have no meaning here. */
  private static final Set<String> WITHOUT_MEANING =
      Set.of("NEXT", "NEXTIF", "SKIPIF", "MERGEREC", "MERGESEQ", "ASK", "FILLIN", "SET", "COMPARE");

  private static final int SHOWN = 60;

  /** Names as they were first written; the same name in other letters is the same field. */
  private final Map<String, String> names = new TreeMap<>(String.CASE_INSENSITIVE_ORDER);

  private final List<String> remarks;

  FieldReader(List<String> remarks) {
    this.remarks = remarks;
  }

  /** Nothing for a field that stays as it stands. */
  Optional<Piece> read(FieldNodes field) {
    FieldCode code = FieldCode.read(field.words());
    if (MERGED.contains(code.kind())) {
      return merge(field, code);
    }
    if (code.kind().equals("IF")) {
      return new Choosing(field).read();
    }
    if (WITHOUT_MEANING.contains(code.kind())) {
      remark(field, "has no meaning here and stays as it stands.");
    } else if (field.code().stream().anyMatch(Inner.class::isInstance)) {
      remark(field, "asks for other fields, which are not filled in there.");
    }
    return Optional.empty();
  }

  private Optional<Piece> merge(FieldNodes field, FieldCode code) {
    if (!field.isPlain()) {
      remark(field, "has another field in its name and stays as it stands.");
      return Optional.empty();
    }
    String name = code.kind().equals("MERGEFIELD") ? code.argument() : code.kind();
    if (name.isBlank()) {
      remark(field, "names no field.");
      return Optional.empty();
    }
    code.all("*").stream()
        .filter(wanted -> !KNOWN.contains(wanted.toLowerCase(Locale.ROOT)))
        .forEach(wanted -> remark(field, "is shown without “\\* " + wanted + "”."));
    return Optional.of(
        new Piece.Merge(names.computeIfAbsent(name.strip(), n -> n), code, field.look()));
  }

  void remark(FieldNodes field, String what) {
    String words = field.words().strip().replaceAll("\\s+", " ");
    String shown = words.length() > SHOWN ? words.substring(0, SHOWN) + "…" : words;
    String sentence = "The field “" + shown + "” " + what;
    if (!remarks.contains(sentence)) {
      remarks.add(sentence);
    }
  }

  /** Reads an IF field, letter by letter: words in it keep the look they have. */
  private final class Choosing {

    /** A letter, or a field among them. */
    private record Sign(int letter, String look, FieldNodes field) {}

    private final FieldNodes whole;
    private final List<Sign> signs = new ArrayList<>();
    private int at;
    private boolean broken;

    Choosing(FieldNodes whole) {
      this.whole = whole;
    }

    Optional<Piece> read() {
      for (Token token : whole.code()) {
        if (token instanceof Text text) {
          text.words().codePoints().forEach(c -> signs.add(new Sign(c, text.look(), null)));
        } else if (token instanceof Inner inner) {
          signs.add(new Sign(0, "", inner.field()));
        } else {
          remark(whole, "has something in it that is no text, and stays as it stands.");
          return Optional.empty();
        }
      }
      skipBlanks();
      at += 2;
      List<Piece> left = operand();
      Optional<Condition.Operator> operator = operator();
      List<Piece> right = operand();
      List<Piece> then = operand();
      List<Piece> otherwise = operand();
      if (operator.isEmpty() || broken) {
        remark(whole, "cannot be read and stays as it stands.");
        return Optional.empty();
      }
      return Optional.of(
          new Piece.Choice(new Condition(left, operator.get(), right), then, otherwise));
    }

    private void skipBlanks() {
      while (at < signs.size() && isBlank(signs.get(at))) {
        at++;
      }
    }

    private boolean isBlank(Sign sign) {
      return sign.field() == null && Character.isWhitespace(sign.letter());
    }

    private boolean isQuote(Sign sign) {
      return sign.field() == null && FieldCode.isQuote((char) sign.letter());
    }

    private boolean isOperator(Sign sign) {
      return sign.field() == null && "=<>".indexOf(sign.letter()) >= 0;
    }

    private Optional<Condition.Operator> operator() {
      skipBlanks();
      StringBuilder sign = new StringBuilder();
      while (at < signs.size() && isOperator(signs.get(at))) {
        sign.appendCodePoint(signs.get(at++).letter());
      }
      return Condition.Operator.of(sign.toString());
    }

    /** Nothing at the end, and where switches begin. */
    private List<Piece> operand() {
      skipBlanks();
      if (at >= signs.size() || signs.get(at).letter() == '\\') {
        return List.of();
      }
      return isQuote(signs.get(at)) ? quoted() : bare();
    }

    private List<Piece> quoted() {
      at++;
      List<Sign> inside = new ArrayList<>();
      while (at < signs.size() && !isQuote(signs.get(at))) {
        if (signs.get(at).letter() == '\\' && at + 1 < signs.size()) {
          at++;
        }
        inside.add(signs.get(at++));
      }
      broken |= at >= signs.size();
      at++;
      return pieces(inside);
    }

    private List<Piece> bare() {
      List<Sign> inside = new ArrayList<>();
      while (at < signs.size() && !isBlank(signs.get(at)) && !isOperator(signs.get(at))) {
        inside.add(signs.get(at++));
      }
      return pieces(inside);
    }

    /** Words of one look stand together. */
    private List<Piece> pieces(List<Sign> inside) {
      List<Piece> pieces = new ArrayList<>();
      StringBuilder words = new StringBuilder();
      String look = "";
      for (Sign sign : inside) {
        if (!words.isEmpty() && (sign.field() != null || !sign.look().equals(look))) {
          pieces.add(new Piece.Said(words.toString(), look));
          words.setLength(0);
        }
        if (sign.field() != null) {
          FieldReader.this.read(sign.field()).ifPresentOrElse(pieces::add, () -> broken = true);
        } else {
          words.appendCodePoint(sign.letter());
          look = sign.look();
        }
      }
      if (!words.isEmpty()) {
        pieces.add(new Piece.Said(words.toString(), look));
      }
      return pieces;
    }
  }
}
