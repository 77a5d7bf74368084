package app.jemble.core.text;

import java.util.Collection;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;

/** Answers that ask to be sent no more texts: a stop word that is the whole answer, in any case. */
public record StopWords(Set<String> words) {

  /** Common practice of text services. */
  public static final Set<String> ALWAYS = Set.of("STOP", "UNSUBSCRIBE", "QUIT", "END", "CANCEL");

  private static final Pattern AROUND =
      Pattern.compile("^[\\s\\p{Punct}\\p{Pi}\\p{Pf}]+|[\\s\\p{Punct}\\p{Pi}\\p{Pf}]+$");

  public StopWords {
    words = Set.copyOf(words);
  }

  /** Those of common practice and what the workspace adds. */
  public static StopWords with(Collection<String> added) {
    Set<String> words = new TreeSet<>(ALWAYS);
    added.stream().map(StopWords::bare).filter(w -> !w.isEmpty()).forEach(words::add);
    return new StopWords(words);
  }

  /** Blanks and punctuation around the word do not count. */
  public boolean asksToStop(String answer) {
    return words.contains(bare(answer));
  }

  private static String bare(String answer) {
    return AROUND.matcher(answer).replaceAll("").toUpperCase(Locale.ROOT);
  }
}
