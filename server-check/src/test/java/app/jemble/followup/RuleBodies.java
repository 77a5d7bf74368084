package app.jemble.followup;

import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Rules as they are written in a request. */
final class RuleBodies {

  private RuleBodies() {}

  static Map<String, Object> waiting(String whom, int count, String unit, Map<String, Object> act) {
    Map<String, Object> rule = new HashMap<>();
    rule.put("whom", whom);
    rule.put("waitCount", count);
    rule.put("waitUnit", unit);
    rule.put("except", List.of());
    rule.put("act", act);
    rule.put("body", "<p>Dear {{first_name}}, once more.</p>");
    return rule;
  }

  static Map<String, Object> with(Map<String, Object> rule, String key, Object value) {
    Map<String, Object> changed = new HashMap<>(rule);
    changed.put(key, value);
    return changed;
  }

  static Map<String, Object> tagged(String tag) {
    return Map.of(
        "match",
        "ALL",
        "conditions",
        List.of(Map.of("field", "tags", "operator", "HAS_ANY", "values", List.of(tag))),
        "groups",
        List.of());
  }

  static final Map<String, Object> SEND = Map.of("kind", "SEND");

  static Map<String, Object> task(String title) {
    return Map.of("kind", "TASK", "taskKind", "call", "title", title, "dueDays", 1);
  }

  /** Done at once on a response. */
  static Map<String, Object> atOnce(String on, Map<String, Object> act) {
    return Map.of("on", on, "except", List.of(), "act", act);
  }
}
