package app.jemble.core.record;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What is left of somebody who was erased: a row without a value, so that the numbers of past
 * mailings stay right; and how they are found in words that others wrote.
 */
public final class ErasedPerson {

  /** What stands where their name stood. */
  public static final String NAME = "(erased)";

  /** Shorter ones stand in words of all kinds. */
  private static final int SHORTEST = 5;

  private static final String NEVER = "(?!)";

  private ErasedPerson() {}

  /**
   * An expression that finds addresses and names in words, whole words alone, in whatever case: one
   * of the advanced expressions of PostgreSQL (documentation, 9.7.3), where a sign after a
   * backslash stands for itself if it is no letter and no digit.
   *
   * @param addresses e-mail addresses, numbers, addresses of devices
   * @param names whole names: one of a single word is many people's, and is not looked for
   * @return one that finds nothing when there is nothing of {@value #SHORTEST} letters to look for
   */
  public static String pattern(Collection<String> addresses, Collection<String> names) {
    List<String> traces =
        Stream.concat(addresses.stream(), names.stream().filter(ErasedPerson::isWhole))
            .map(String::strip)
            .filter(t -> t.codePointCount(0, t.length()) >= SHORTEST)
            .map(t -> t.toLowerCase(Locale.ROOT))
            .distinct()
            // The longest first: an address goes whole, not the name in it.
            .sorted(Comparator.comparingInt(String::length).reversed())
            .toList();
    return traces.isEmpty()
        ? NEVER
        : traces.stream()
            .map(ErasedPerson::plain)
            .collect(Collectors.joining("|", "(?<![[:alnum:]])(?:", ")(?![[:alnum:]])"));
  }

  private static boolean isWhole(String name) {
    return name.strip().contains(" ");
  }

  private static String plain(String trace) {
    return trace
        .codePoints()
        .mapToObj(
            c -> c > 127 || Character.isLetterOrDigit(c) ? Character.toString(c) : "\\" + (char) c)
        .collect(Collectors.joining());
  }

  /**
   * Every first name with every last name: of a name that changed nobody knows which went along.
   */
  public static List<String> names(Collection<String> first, Collection<String> last) {
    return first.stream().flatMap(f -> last.stream().map(l -> f + " " + l)).toList();
  }
}
