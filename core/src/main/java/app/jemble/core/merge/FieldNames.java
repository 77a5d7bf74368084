package app.jemble.core.merge;

import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.Set;

/** Names of fields as they are told to people. */
public final class FieldNames {

  private FieldNames() {}

  /**
   * Each once, in the order in which they come: {@code Set.copyOf} has another with each process.
   */
  public static Set<String> inOrder(Set<String> names) {
    return names.isEmpty() ? Set.of() : Collections.unmodifiableSet(new LinkedHashSet<>(names));
  }
}
