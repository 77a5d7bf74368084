package app.jemble.people;

import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Bodies of requests about people. */
final class Bodies {

  private Bodies() {}

  static Map<String, Object> where(String field, String operator, String... values) {
    return Map.of("field", field, "operator", operator, "values", List.of(values));
  }

  static Map<String, Object> all(Object... conditions) {
    return Map.of(
        "match",
        "ALL",
        "conditions",
        List.of(conditions),
        "related",
        List.of(),
        "groups",
        List.of());
  }

  static Map<String, Object> has(String kind, int atLeast, Map<String, Object> where) {
    Map<String, Object> related = Map.of("kind", kind, "atLeast", atLeast, "where", where);
    return Map.of(
        "match", "ALL", "conditions", List.of(), "related", List.of(related), "groups", List.of());
  }

  /** Everyone whom a filter picks. */
  static Map<String, Object> those(Map<String, Object> filter) {
    return Map.of("filter", filter);
  }

  /** These people. */
  static Map<String, Object> only(Long... ids) {
    return Map.of("filter", all(), "picks", List.of(ids));
  }

  static Map<String, Object> act(Map<String, Object> who, String kind, Object... more) {
    Map<String, Object> act = new HashMap<>(Map.of("who", who, "kind", kind));
    for (int i = 0; i < more.length; i += 2) {
      act.put((String) more[i], more[i + 1]);
    }
    return act;
  }

  static Map<String, Object> page(Map<String, Object> who, List<String> columns) {
    Map<String, Object> page = new HashMap<>();
    page.put("who", who);
    page.put("columns", columns);
    page.put("descending", false);
    return page;
  }
}
