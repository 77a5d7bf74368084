package app.jemble.core.merge;

import app.jemble.core.record.Words;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads the inside of one merge field: {@code first_name or "friend" as capitals}. */
final class MergeFieldReader {

  private static final Pattern TOKEN =
      Pattern.compile("\\s*(?:\"([^\"]*)\"|“([^”]*)”|([\\p{L}\\p{N}_.]+)|(\\S))");

  /**
   * What was read.
   *
   * @param problem a sentence when it cannot be read, else null
   */
  record Read(List<Part.Source> sources, Optional<Part.Format> format, String problem) {}

  private record Token(String word, String quoted) {}

  private MergeFieldReader() {}

  static Read read(String content) {
    List<Token> tokens = new ArrayList<>();
    Matcher matcher = TOKEN.matcher(content);
    while (matcher.find()) {
      String quoted = matcher.group(1) != null ? matcher.group(1) : matcher.group(2);
      if (matcher.group(4) != null) {
        return problem(
            "“" + matcher.group(4) + "” does not belong in a merge field: {{" + content + "}}.");
      }
      tokens.add(new Token(matcher.group(3), quoted));
    }
    return read(content, tokens);
  }

  private static Read read(String content, List<Token> tokens) {
    List<Part.Source> sources = new ArrayList<>();
    int at = 0;
    while (at < tokens.size()) {
      sources.add(source(tokens.get(at++)));
      if (at == tokens.size() || !"or".equals(tokens.get(at).word())) {
        break;
      }
      at++;
      if (at == tokens.size()) {
        return problem(
            "After “or” a field or a text in quotation marks is missing: {{" + content + "}}.");
      }
    }
    if (at == tokens.size()) {
      return new Read(sources, Optional.empty(), null);
    }
    if (!"as".equals(tokens.get(at).word()) || at + 2 != tokens.size()) {
      return problem("After a field only “or …” and “as …” may follow: {{" + content + "}}.");
    }
    return withFormat(sources, tokens.get(at + 1));
  }

  private static Part.Source source(Token token) {
    return token.quoted() != null
        ? new Part.Fallback(token.quoted())
        : new Part.FieldSource(token.word());
  }

  private static Read withFormat(List<Part.Source> sources, Token token) {
    if (token.quoted() != null) {
      try {
        DateTimeFormatter.ofPattern(token.quoted(), Locale.ROOT);
      } catch (IllegalArgumentException notAPattern) {
        return problem(
            "“" + token.quoted() + "” is not a way to write a date; try \"d MMMM yyyy\".");
      }
      return new Read(sources, Optional.of(new Part.DatePattern(token.quoted())), null);
    }
    return switch (token.word()) {
      case "money" -> new Read(sources, Optional.of(Part.NamedFormat.MONEY), null);
      case "capitals" -> new Read(sources, Optional.of(Part.NamedFormat.CAPITALS), null);
      default ->
          problem(
              "There is no format named “"
                  + token.word()
                  + "”."
                  + Words.nearest(token.word(), List.of("money", "capitals"))
                      .map(s -> " Did you mean " + s + "?")
                      .orElse(""));
    };
  }

  private static Read problem(String sentence) {
    return new Read(List.of(), Optional.empty(), sentence);
  }
}
