package app.jemble.filter;

/** Words a person has by rows of another table: the lists they are on, the topics they left. */
enum TagTable {
  LIST("list_member x join person_list l on l.id = x.list_id", "l.name_key", "l.name"),
  TOPIC_LEFT("topic_left x join topic l on l.id = x.topic_id", "fold(l.name)", "l.name");

  private final String from;
  private final String key;
  private final String word;

  TagTable(String from, String key, String word) {
    this.from = from;
    this.key = key;
    this.word = word;
  }

  /** The table behind a field, or null when the field is no such one. */
  static TagTable of(String field) {
    return switch (field) {
      case "list" -> LIST;
      case "topic_left" -> TOPIC_LEFT;
      default -> null;
    };
  }

  /** Has at least one row, whose folded word is as the condition says. */
  String has(String condition) {
    return "exists (select from "
        + from
        + " where x.person_id = p.id"
        + (condition.isEmpty() ? "" : " and " + key + condition)
        + ")";
  }

  /** All words, as text. */
  String array() {
    return "(select string_agg("
        + word
        + ", ', ' order by "
        + word
        + ") from "
        + from
        + " where x.person_id = p.id)";
  }
}
