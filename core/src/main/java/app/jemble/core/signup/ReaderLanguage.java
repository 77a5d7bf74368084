package app.jemble.core.signup;

import java.util.Arrays;
import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Locale.LanguageRange;
import java.util.Optional;

/** The languages in which pages for readers ship, and what the house tells colleagues. */
public enum ReaderLanguage {
  EN("English"),
  DE("Deutsch"),
  FR("Français"),
  NO("Norsk"),
  ES("Español");

  private static final int MOST_OCTETS = 500;

  private final String ownName;

  ReaderLanguage(String ownName) {
    this.ownName = ownName;
  }

  /** What its speakers call it. */
  public String ownName() {
    return ownName;
  }

  /** The tag (BCP 47), such as {@code de}. */
  public String tag() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** The language of a tag such as {@code de-CH} or {@code nb-NO}; empty when none ships. */
  public static Optional<ReaderLanguage> of(String tag) {
    if (tag == null || tag.length() > MOST_OCTETS) {
      return Optional.empty();
    }
    String language = Locale.forLanguageTag(tag.strip().replace('_', '-')).getLanguage();
    // Bokmål and Nynorsk (ISO 639-1) are read by whoever reads Norwegian.
    String read = language.equals("nb") || language.equals("nn") ? "no" : language;
    return EnumSet.allOf(ReaderLanguage.class).stream()
        .filter(known -> known.tag().equals(read))
        .findFirst();
  }

  /** The first of some tags whose language ships, each of which may be null; else English. */
  public static ReaderLanguage firstOf(String... tags) {
    return Arrays.stream(tags).flatMap(tag -> of(tag).stream()).findFirst().orElse(EN);
  }

  /**
   * The best of some languages for a reader.
   *
   * @param accepted what their browser says (RFC 9110 section 12.5.4), or null
   * @param some among which is chosen
   * @return empty when the reader asks for none of them
   */
  public static Optional<ReaderLanguage> best(String accepted, Collection<ReaderLanguage> some) {
    return ranges(accepted).stream()
        .filter(range -> range.getWeight() > 0)
        .map(range -> of(range.getRange()))
        .flatMap(Optional::stream)
        .filter(some::contains)
        .findFirst();
  }

  /** In order of weight (RFC 4647); none when it cannot be read. */
  private static List<LanguageRange> ranges(String accepted) {
    if (accepted == null || accepted.isBlank() || accepted.length() > MOST_OCTETS) {
      return List.of();
    }
    try {
      return LanguageRange.parse(accepted);
    } catch (IllegalArgumentException unreadable) {
      return List.of();
    }
  }
}
