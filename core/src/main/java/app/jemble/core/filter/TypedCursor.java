package app.jemble.core.filter;

import app.jemble.core.record.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Where the reading of typed words has come to. */
final class TypedCursor {

  /**
   * A word, or what stands in quotes.
   *
   * @param raw as it was typed, without its quotes
   * @param folded without case and accents
   */
  record Word(String raw, String folded, boolean quoted) {}

  /** Commas stand alone but between the digits of a number. */
  private static final Pattern WORD =
      Pattern.compile("\"([^\"]*)\"|“([^”]*)”|([,;()])|([^\\s,;()\"“]+(?:,\\d{3}(?!\\d)\\S*)?)");

  private static final Pattern PHRASE_END = Pattern.compile("[,;()]");

  private final List<Word> words;
  private int at;

  TypedCursor(String text) {
    List<Word> read = new ArrayList<>();
    Matcher found = WORD.matcher(text);
    while (found.find()) {
      String quoted = found.group(1) != null ? found.group(1) : found.group(2);
      String raw = quoted != null ? quoted : found.group();
      read.add(new Word(raw, Words.fold(raw), quoted != null));
    }
    words = List.copyOf(read);
  }

  int position() {
    return at;
  }

  void moveTo(int position) {
    at = position;
  }

  boolean isDone() {
    return at >= words.size();
  }

  /** The word here; there must be one. */
  Word here() {
    return words.get(at);
  }

  Word next() {
    return words.get(at++);
  }

  /** Takes these words, which are folded, when they stand here. */
  boolean take(String phrase) {
    String[] wanted = phrase.split(" ");
    if (at + wanted.length > words.size()) {
      return false;
    }
    for (int i = 0; i < wanted.length; i++) {
      Word word = words.get(at + i);
      if (word.quoted() || !word.folded().equals(wanted[i])) {
        return false;
      }
    }
    at += wanted.length;
    return true;
  }

  /** Takes the first of these that stands here. */
  boolean takeAny(List<String> phrases) {
    return phrases.stream().anyMatch(this::take);
  }

  /** Whether one of these stands here; nothing is taken. */
  boolean takesNext(List<List<String>> phrases) {
    int begun = at;
    boolean stands = phrases.stream().anyMatch(this::takeAny);
    at = begun;
    return stands;
  }

  /**
   * The longest run of at most so many words that can be read; null, and nothing taken, if none.
   */
  <T> T longest(int most, Function<String, T> reading) {
    for (int length = Math.min(most, words.size() - at); length > 0; length--) {
      List<Word> run = words.subList(at, at + length);
      boolean broken =
          run.stream().anyMatch(w -> !w.quoted() && PHRASE_END.matcher(w.raw()).matches());
      boolean mixed = length > 1 && run.stream().anyMatch(Word::quoted);
      T read = broken || mixed ? null : reading.apply(joined(run));
      if (read != null) {
        at += length;
        return read;
      }
    }
    return null;
  }

  /** What was typed from one position to another. */
  String between(int from, int to) {
    return joined(words.subList(from, to));
  }

  private static String joined(List<Word> run) {
    return run.stream().map(Word::raw).collect(Collectors.joining(" "));
  }
}
