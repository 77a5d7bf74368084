package app.jemble.core.document;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/**
 * The instruction of a field, read (ISO/IEC 29500-1, 17.16.2 and 17.16.4).
 *
 * @param kind in capitals, such as MERGEFIELD
 * @param argument the first word after it; empty for none
 * @param switches in order
 */
record FieldCode(String kind, String argument, List<Switch> switches) {

  /**
   * A switch.
   *
   * @param letter what follows the backslash, in small letters
   * @param argument empty for none
   */
  record Switch(String letter, String argument) {}

  /** Switches that take a word after them, of the fields that are read here. */
  private static final Set<String> WITH_ARGUMENT = Set.of("*", "#", "@", "b", "f");

  private static final String QUOTES = "\"\u201c\u201d\u201e";

  FieldCode {
    switches = List.copyOf(switches);
  }

  static FieldCode read(String instruction) {
    List<String> words = words(instruction);
    String kind = words.isEmpty() ? "" : words.get(0).toUpperCase(Locale.ROOT);
    String argument = "";
    List<Switch> switches = new ArrayList<>();
    for (int i = 1; i < words.size(); i++) {
      String word = words.get(i);
      if (!word.startsWith("\\")) {
        argument = argument.isEmpty() ? plain(word) : argument;
        continue;
      }
      String letter = word.substring(1).toLowerCase(Locale.ROOT);
      boolean takes = WITH_ARGUMENT.contains(letter) && i + 1 < words.size();
      switches.add(new Switch(letter, takes ? plain(words.get(++i)) : ""));
    }
    return new FieldCode(kind, argument, switches);
  }

  Optional<String> first(String letter) {
    return all(letter).stream().findFirst();
  }

  List<String> all(String letter) {
    return switches.stream().filter(s -> s.letter().equals(letter)).map(Switch::argument).toList();
  }

  static boolean isQuote(char c) {
    return QUOTES.indexOf(c) >= 0;
  }

  /** Words as they are written; those in quotation marks with their marks. */
  private static List<String> words(String instruction) {
    List<String> words = new ArrayList<>();
    int at = 0;
    while (at < instruction.length()) {
      char c = instruction.charAt(at);
      if (Character.isWhitespace(c)) {
        at++;
        continue;
      }
      int end = isQuote(c) ? closing(instruction, at + 1) : endOfWord(instruction, at);
      words.add(instruction.substring(at, end));
      at = end;
    }
    return words;
  }

  private static int closing(String text, int from) {
    int at = from;
    while (at < text.length() && !isQuote(text.charAt(at))) {
      at += text.charAt(at) == '\\' ? 2 : 1;
    }
    return Math.min(at + 1, text.length());
  }

  /** A switch ends after its letter, whether or not a blank follows: {@code \*Upper}. */
  private static int endOfWord(String text, int from) {
    if (text.charAt(from) == '\\') {
      return Math.min(from + 2, text.length());
    }
    int at = from;
    while (at < text.length()
        && !Character.isWhitespace(text.charAt(at))
        && !isQuote(text.charAt(at))) {
      at++;
    }
    return at;
  }

  /** Without its quotation marks; a backslash makes the letter after it an ordinary one. */
  private static String plain(String word) {
    if (word.isEmpty() || !isQuote(word.charAt(0))) {
      return word;
    }
    int end = word.length() > 1 && isQuote(word.charAt(word.length() - 1)) ? 1 : 0;
    StringBuilder out = new StringBuilder();
    for (int i = 1; i < word.length() - end; i++) {
      if (word.charAt(i) == '\\' && i + 1 < word.length() - end) {
        i++;
      }
      out.append(word.charAt(i));
    }
    return out.toString();
  }
}
