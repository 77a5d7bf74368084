package app.jemble.core.message;

import app.jemble.core.record.Related;
import java.util.Arrays;
import java.util.Set;

/** Fields that have a value where a message is about something: a record, or a day of the year. */
public final class AboutFields {

  private static final Set<String> OF_A_DAY = Set.of("years", "card", "card_words");

  private AboutFields() {}

  /** Whether a field is one of them, such as {@code quote.total}. */
  public static boolean isOne(String field) {
    return OF_A_DAY.contains(field)
        || Arrays.stream(Related.values()).anyMatch(kind -> field.startsWith(kind.one() + "."));
  }
}
