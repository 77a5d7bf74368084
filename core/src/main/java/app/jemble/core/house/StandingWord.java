package app.jemble.core.house;

import app.jemble.core.record.Related;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;

/**
 * A word of the house for where somebody stands, for what is to be done with them, or for an office
 * that they hold.
 *
 * @param isRetired it is given to nobody any more; whoever has it keeps it, and is found by it
 * @param counts whether whoever has it is a current member; of statuses alone
 * @param group what offices are written to together by, such as officers; of offices alone, empty
 *     for none
 */
public record StandingWord(String name, boolean isRetired, boolean counts, String group) {

  /** The field of an office by which its group is asked for. */
  public static final String GROUP_FIELD = "group";

  private static final int LONGEST = 60;

  /** What such words are about; the name of the field that holds them. */
  public enum About {
    /** of members; the first that is given is what a new member has */
    STATUS("status", null, true),
    /** of leads, on the way to a contract */
    STAGE("stage", null, false),
    /** of tasks; the first that is given is what a task is of by itself */
    TASK("kind", Related.TASK, true),
    /** of offices, which people hold */
    OFFICE("name", Related.OFFICE, false);

    private final String field;
    private final Related around;
    private final boolean isNeeded;

    About(String field, Related around, boolean isNeeded) {
      this.field = field;
      this.around = around;
      this.isNeeded = isNeeded;
    }

    public String field() {
      return field;
    }

    /** The records around people that have the field; null when people have it. */
    public Related around() {
      return around;
    }

    /**
     * What a field holds; empty when its words are not the house's own.
     *
     * @param around whose field it is; null for people
     */
    public static Optional<About> of(Related around, String field) {
      return Arrays.stream(values())
          .filter(about -> about.around == around && about.field.equals(field))
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

  /** Those that are still given, in their order. */
  public static List<String> given(List<StandingWord> words) {
    return words.stream().filter(word -> !word.isRetired).map(StandingWord::name).toList();
  }

  /** The first that is given. */
  public static String usual(List<StandingWord> words) {
    return given(words).get(0);
  }

  /** Those that are given to nobody any more. */
  public static List<String> retired(List<StandingWord> words) {
    return words.stream().filter(StandingWord::isRetired).map(StandingWord::name).toList();
  }

  /** The groups that there are, in the order of the first office of each. */
  public static List<String> groups(List<StandingWord> words) {
    return words.stream().map(StandingWord::group).filter(g -> !g.isEmpty()).distinct().toList();
  }

  /**
   * A group as it is kept: one that is there already, however it is typed.
   *
   * @param typed empty for none
   */
  public static String groupOf(List<StandingWord> words, String typed) {
    return groups(words).stream().filter(typed::equalsIgnoreCase).findFirst().orElse(typed);
  }

  /** What is wrong with the group that an office is put into; empty for nothing. */
  public static Optional<String> faultOfGroup(String name) {
    return name.length() > LONGEST || name.contains(",")
        ? Optional.of("A group of up to 60 characters, without a comma.")
        : Optional.empty();
  }

  /** What is wrong with another name for a group; empty for nothing. */
  public static Optional<String> faultOfRenamedGroup(
      List<StandingWord> words, String before, String name) {
    if (name.isEmpty()) {
      return Optional.of("Say what the group is called.");
    }
    boolean isTaken =
        groups(words).stream().anyMatch(g -> g.equalsIgnoreCase(name) && !g.equals(before));
    return isTaken ? Optional.of("“" + name + "” is there already.") : faultOfGroup(name);
  }

  /**
   * What is wrong with a name; empty for nothing.
   *
   * @param before as it is called, when it is renamed; else null
   */
  public static Optional<String> faultOfName(List<StandingWord> words, String name, String before) {
    if (name.isBlank() || name.length() > LONGEST || name.contains(",")) {
      return Optional.of("A name of up to 60 characters, without a comma.");
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
