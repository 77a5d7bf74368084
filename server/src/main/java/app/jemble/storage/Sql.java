package app.jemble.storage;

import com.google.errorprone.annotations.CompileTimeConstant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A piece of SQL: words of the program's own, and values. Nothing that anybody ever wrote into the
 * house can become part of the words: the compiler takes only constants for them (Error Prone's
 * check {@code CompileTimeConstant}), and every value is a parameter.
 *
 * <p>{@code Sql.of("p.stage = %s", Sql.param("won"))} is the text {@code p.stage = ?} and the
 * parameter {@code won}.
 */
public final class Sql {

  /** Says nothing. */
  public static final Sql NONE = new Sql("", List.of());

  private static final Pattern GAP = Pattern.compile("%(?:([1-9])\\$)?s");

  private final String text;
  private final List<Object> params;

  private Sql(String text, List<Object> params) {
    this.text = text;
    this.params = Collections.unmodifiableList(params);
  }

  /** Words alone. */
  public static Sql of(@CompileTimeConstant String words) {
    return new Sql(withoutMarks(words), List.of());
  }

  /**
   * Words with gaps: {@code %s} takes the next piece, {@code %2$s} the second, as often as it
   * stands there.
   *
   * @throws IllegalArgumentException when pieces and gaps do not go together
   */
  public static Sql of(@CompileTimeConstant String words, Sql... pieces) {
    StringBuilder text = new StringBuilder();
    List<Object> params = new ArrayList<>();
    Matcher gap = GAP.matcher(withoutMarks(words));
    int next = 0;
    while (gap.find()) {
      int place = gap.group(1) == null ? next++ : Integer.parseInt(gap.group(1)) - 1;
      if (place >= pieces.length) {
        throw new IllegalArgumentException("there are more gaps than pieces in: " + words);
      }
      gap.appendReplacement(text, Matcher.quoteReplacement(pieces[place].text));
      params.addAll(pieces[place].params);
    }
    gap.appendTail(text);
    return new Sql(text.toString(), params);
  }

  /** A value, whatever it is. */
  public static Sql param(Object value) {
    return new Sql("?", Collections.singletonList(value));
  }

  /** Pieces with the same words between them. */
  public static Sql join(@CompileTimeConstant String joint, Collection<Sql> pieces) {
    StringBuilder text = new StringBuilder();
    List<Object> params = new ArrayList<>();
    for (Sql piece : pieces) {
      text.append(text.isEmpty() ? "" : withoutMarks(joint)).append(piece.text);
      params.addAll(piece.params);
    }
    return new Sql(text.toString(), params);
  }

  /** This, and the words behind it. */
  public Sql plus(@CompileTimeConstant String words) {
    return new Sql(text + withoutMarks(words), params);
  }

  /** This, and a piece behind it. */
  public Sql plus(Sql piece) {
    List<Object> both = new ArrayList<>(params);
    both.addAll(piece.params);
    return new Sql(text + piece.text, both);
  }

  public boolean isEmpty() {
    return text.isEmpty();
  }

  /** The text, with a question mark for each parameter. */
  String text() {
    return text;
  }

  /** The parameters in their order; one may be null. */
  List<Object> params() {
    return params;
  }

  /** A question mark in the words would stand for a parameter that is not there. */
  private static String withoutMarks(String words) {
    if (words.indexOf('?') >= 0) {
      throw new IllegalArgumentException(
          "a value is given by Sql.param, not by a mark in: " + words);
    }
    return words;
  }

  @Override
  public String toString() {
    return text;
  }
}
