package app.jemble.core.filter;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Where the reading of a sentence has come to. */
final class SentenceCursor {

  private static final Pattern WHOLE = Pattern.compile("-?\\d{1,9}");
  private static final int SHOWN = 30;

  private final String text;
  private int position;

  SentenceCursor(String text) {
    this.text = text;
  }

  int position() {
    return position;
  }

  void moveTo(int earlier) {
    position = earlier;
  }

  boolean isDone() {
    return position == text.length();
  }

  boolean sees(String words) {
    return text.startsWith(words, position);
  }

  boolean take(String words) {
    if (!sees(words)) {
      return false;
    }
    position += words.length();
    return true;
  }

  /** Takes the words only when one of the others comes right after them. */
  boolean takeIf(String words, List<String> others) {
    int begun = position;
    if (take(words) && others.stream().anyMatch(this::sees)) {
      return true;
    }
    position = begun;
    return false;
  }

  void need(String words) {
    if (!take(words)) {
      throw lost();
    }
  }

  int whole() {
    String digits = take(WHOLE);
    if (digits == null) {
      throw lost();
    }
    return Integer.parseInt(digits);
  }

  /** What matches here, or null. */
  String take(Pattern pattern) {
    Matcher here = pattern.matcher(text).region(position, text.length());
    if (!here.lookingAt()) {
      return null;
    }
    position = here.end();
    return here.group();
  }

  /** At the end, or before a joint or a closing bracket: where a condition may end. */
  boolean isBetweenWords() {
    return isDone() || sees(")") || sees(" and ") || sees(" or ");
  }

  FilterException lost() {
    String rest = text.substring(position);
    String shown = rest.length() > SHOWN ? rest.substring(0, SHOWN) + "…" : rest;
    return new FilterException(
        "",
        rest.isEmpty()
            ? "The sentence ends too early."
            : "The sentence stops making sense at “" + shown + "”.");
  }
}
