package app.jemble.core.record;

import java.util.List;
import java.util.Map;

/** What is known of one record, asked by field name; an unknown name answers empty. */
@FunctionalInterface
public interface Values {

  /** Never null. */
  FieldValue get(String field);

  /** The records of one kind around this one. */
  default List<Values> related(Related kind) {
    return List.of();
  }

  static Values of(Map<String, FieldValue> values) {
    return of(values, Map.of());
  }

  static Values of(Map<String, FieldValue> values, Map<Related, List<Values>> around) {
    Map<String, FieldValue> known = Map.copyOf(values);
    return new Values() {
      @Override
      public FieldValue get(String field) {
        return known.getOrDefault(field, FieldValue.EMPTY);
      }

      @Override
      public List<Values> related(Related kind) {
        return around.getOrDefault(kind, List.of());
      }
    };
  }
}
