package app.jemble.filter;

import app.jemble.storage.Sql;

/** Words a person has by rows of another table: their lists, the topics they left, their ways. */
enum TagTable {
  LIST(
      Sql.of("offered.list_member x join offered.person_list l on l.id = x.list_id"),
      Sql.of("l.name_key"),
      Sql.of("l.name")),
  TOPIC_LEFT(
      Sql.of("offered.topic_left x join offered.topic l on l.id = x.topic_id"),
      Sql.of("fold(l.name)"),
      Sql.of("l.name")),
  REACHED_BY(Sql.of("offered.reached_by x"), Sql.of("fold(x.way)"), Sql.of("x.way"));

  private final Sql from;
  private final Sql key;
  private final Sql word;

  TagTable(Sql from, Sql key, Sql word) {
    this.from = from;
    this.key = key;
    this.word = word;
  }

  /** The table behind a field, or null when the field is no such one. */
  static TagTable of(String field) {
    return switch (field) {
      case "list" -> LIST;
      case "topic_left" -> TOPIC_LEFT;
      case "reached_by" -> REACHED_BY;
      default -> null;
    };
  }

  /** Has at least one row. */
  Sql hasSome() {
    return Sql.of("exists (select from %s where x.person_id = p.id)", from);
  }

  /** Has at least one row whose folded word is this one. */
  Sql has(Sql word) {
    return Sql.of("exists (select from %s where x.person_id = p.id and %s = %s)", from, key, word);
  }

  /** Has at least one row whose folded word is among these. */
  Sql hasAny(Sql words) {
    return Sql.of(
        "exists (select from %s where x.person_id = p.id and %s = any(%s))", from, key, words);
  }

  /** All words, as text. */
  Sql array() {
    return Sql.of(
        "(select string_agg(%1$s, ', ' order by %1$s) from %2$s where x.person_id = p.id)",
        word, from);
  }
}
