package app.jemble.core.record;

import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * One named, typed value of a record.
 *
 * @param name what templates and filters call it: lower case words joined by underscores, with dots
 *     between a record and its field, for example {@code organisation.name}
 * @param label what people read
 * @param type the kind of value
 * @param choices the values that can be picked, in order; empty when the type is not a choice
 * @param uses where it may be used
 */
public record Field(
    String name, String label, FieldType type, List<String> choices, Set<FieldUse> uses) {

  private static final Pattern NAME = Pattern.compile("[a-z][a-z0-9_]*(\\.[a-z][a-z0-9_]*)*");

  public Field {
    if (!NAME.matcher(name).matches()) {
      throw new IllegalArgumentException(
          "A field name is lower case letters, digits and underscores, with dots between parts;"
              + " this is not: "
              + name);
    }
    Objects.requireNonNull(label);
    Objects.requireNonNull(type);
    choices = List.copyOf(choices);
    uses = Set.copyOf(uses);
  }

  public boolean allows(FieldUse use) {
    return uses.contains(use);
  }
}
