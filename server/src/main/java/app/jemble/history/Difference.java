package app.jemble.history;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.Locale;
import java.util.Objects;
import java.util.StringJoiner;

/**
 * What is different between two records of one kind, in words.
 *
 * @param before "quiet from: 21:00, most a day: 25"
 * @param after "quiet from: 22:00, most a day: none"
 */
record Difference(String before, String after) {

  static Difference between(Record before, Record after) {
    StringJoiner was = new StringJoiner(", ");
    StringJoiner is = new StringJoiner(", ");
    for (RecordComponent part : before.getClass().getRecordComponents()) {
      Object old = value(part, before);
      Object now = value(part, after);
      if (!part.getName().equals("version") && !Objects.equals(old, now)) {
        was.add(words(part.getName()) + ": " + said(old));
        is.add(words(part.getName()) + ": " + said(now));
      }
    }
    return new Difference(was.toString(), is.toString());
  }

  private static Object value(RecordComponent part, Record of) {
    try {
      part.getAccessor().setAccessible(true);
      return part.getAccessor().invoke(of);
    } catch (IllegalAccessException | InvocationTargetException e) {
      throw new IllegalStateException("a record tells what it is made of", e);
    }
  }

  /** {@code quietFrom} is "quiet from". */
  private static String words(String name) {
    return name.replaceAll("([A-Z])", " $1").toLowerCase(Locale.ROOT);
  }

  private static String said(Object value) {
    if (value instanceof Enum<?> one) {
      return one.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
    return value == null || value.toString().isEmpty() ? "none" : value.toString();
  }
}
