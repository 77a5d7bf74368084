package app.jemble.core.filter;

import app.jemble.core.record.Field;
import app.jemble.core.record.Words;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The values of fields by what people call them. */
final class TypedNames {

  /** A name is found by its beginning when that has as many letters. */
  private static final int SHORTEST_BEGINNING = 3;

  private final Map<Field, Map<String, String>> keys = new HashMap<>();
  private final TypedHouse house;

  TypedNames(TypedHouse house) {
    this.house = house;
  }

  /** The key of what is called just this; null when nothing is. */
  String called(Field field, String typed) {
    return keys(field).get(Words.fold(typed));
  }

  /** The same, or the key of the only one that is called so at its beginning. */
  String calledAtFirst(Field field, String typed) {
    String wanted = Words.fold(typed);
    String key = keys(field).get(wanted);
    if (key != null || wanted.length() < SHORTEST_BEGINNING) {
      return key;
    }
    List<String> beginning =
        keys(field).entrySet().stream()
            .filter(e -> e.getKey().startsWith(wanted))
            .map(Map.Entry::getValue)
            .distinct()
            .toList();
    return beginning.size() == 1 ? beginning.get(0) : null;
  }

  /** Names go before keys, and what comes first before what is called the same. */
  private Map<String, String> keys(Field field) {
    return keys.computeIfAbsent(
        field,
        f -> {
          Map<String, String> byName = new LinkedHashMap<>();
          house.named(f).forEach(n -> byName.putIfAbsent(Words.fold(n.name()), n.key()));
          house.named(f).forEach(n -> byName.putIfAbsent(Words.fold(n.key()), n.key()));
          return byName;
        });
  }
}
