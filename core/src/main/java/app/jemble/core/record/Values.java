package app.jemble.core.record;

import java.util.Map;

/** What is known of one person, asked by field name; an unknown name answers empty. */
@FunctionalInterface
public interface Values {

  /** Never null. */
  FieldValue get(String field);

  static Values of(Map<String, FieldValue> values) {
    Map<String, FieldValue> known = Map.copyOf(values);
    return field -> known.getOrDefault(field, FieldValue.EMPTY);
  }
}
