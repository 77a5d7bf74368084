package app.jemble.core.house;

import app.jemble.core.record.FieldCatalogue;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/**
 * A word of the house for where somebody stands, or for what is to be done with them.
 *
 * @param isRetired it is given to nobody any more; whoever has it keeps it, and is found by it
 * @param counts whether whoever has it is a current member; of statuses alone
 */
public record StandingWord(String name, boolean isRetired, boolean counts) {

  private static final int LONGEST = 60;

  /** Kinds of people: a filter asks for these by the name by which it asks for kinds of tasks. */
  private static final Set<String> OF_PEOPLE =
      Set.copyOf(FieldCatalogue.standard().find("kind").orElseThrow().choices());

  /** What such words are about; the name of the field that holds them. */
  public enum About {
    /** of members; the first that is given is what a new member has */
    STATUS("status", true, true),
    /** of leads, on the way to a contract */
    STAGE("stage", false, true),
    /** of tasks; the first that is given is what a task is of by itself */
    TASK("kind", true, false);

    private final String field;
    private final boolean isNeeded;
    private final boolean isOfPeople;

    About(String field, boolean isNeeded, boolean isOfPeople) {
      this.field = field;
      this.isNeeded = isNeeded;
      this.isOfPeople = isOfPeople;
    }

    public String field() {
      return field;
    }

    /** What a field of people holds; empty when its words are not the house's own. */
    public static Optional<About> of(String field) {
      return Arrays.stream(values())
          .filter(about -> about.isOfPeople && about.field.equals(field))
          .findFirst();
    }
  }

  /** The names in their order, those that are still given first. */
  public static List<String> names(List<StandingWord> words) {
    return words.stream()
        .sorted((a, b) -> Boolean.compare(a.isRetired, b.isRetired))
        .map(StandingWord::name)
        .toList();
  }

  /** The first that is given. */
  public static String usual(List<StandingWord> words) {
    return words.stream().filter(word -> !word.isRetired).findFirst().orElseThrow().name;
  }

  /** Those that are given to nobody any more. */
  public static List<String> retired(List<StandingWord> words) {
    return words.stream().filter(StandingWord::isRetired).map(StandingWord::name).toList();
  }

  /**
   * What is wrong with a name; empty for nothing.
   *
   * @param before as it is called, when it is renamed; else null
   */
  public static Optional<String> faultOfName(
      About about, List<StandingWord> words, String name, String before) {
    if (name.isBlank() || name.length() > LONGEST || name.contains(",")) {
      return Optional.of("A name of up to 60 characters, without a comma.");
    }
    if (about == About.TASK && OF_PEOPLE.contains(name.toLowerCase(Locale.ROOT))) {
      return Optional.of("“" + name + "” is a kind of person.");
    }
    return words.stream().anyMatch(w -> w.name.equalsIgnoreCase(name) && !w.name.equals(before))
        ? Optional.of("“" + name + "” is there already.")
        : Optional.empty();
  }

  /** Why one cannot be given up; empty when it can. */
  public static Optional<String> faultOfRetiring(
      About about, List<StandingWord> words, String name) {
    boolean isLast = words.stream().allMatch(w -> w.isRetired || w.name.equals(name));
    return about.isNeeded && isLast
        ? Optional.of(
            about == About.TASK
                ? "A task is of some kind; add another first."
                : "Whoever becomes a member needs one; add another first.")
        : Optional.empty();
  }

  /** Whether an order has all of them, each once. */
  public static boolean isOrder(List<StandingWord> words, List<String> names) {
    return names.size() == words.size()
        && new HashSet<>(names)
            .equals(new HashSet<>(words.stream().map(StandingWord::name).toList()));
  }
}
