package app.jemble.filter;

import app.jemble.core.record.Related;

/** The tables of the records around people, and how they hang on a person {@code p}. */
final class RelatedTables {

  /** The tables that stand beside a person, by alias. */
  static String joinPerson(String alias) {
    return switch (alias) {
      case "m" -> "\nleft join membership m on m.person_id = p.id";
      case "o" -> "\nleft join organisation o on o.id = p.organisation_id";
      case "w" -> "\nleft join account w on w.id = p.owner_id";
      default -> throw new IllegalArgumentException("no table is joined as " + alias);
    };
  }

  /** The id of a record; null stands for people. */
  static String id(Related kind) {
    if (kind == null) {
      return "p.id";
    }
    return switch (kind) {
      case QUOTE -> "q.id";
      case TASK -> "t.id";
      case EVENT -> "a.id";
      case OFFICE -> "f.id";
      case MESSAGE -> "s.id";
    };
  }

  private RelatedTables() {}

  static String from(Related kind) {
    return switch (kind) {
      case QUOTE -> "quote q left join account qw on qw.id = q.owner_id";
      case TASK -> "task t left join account tw on tw.id = t.owner_id";
      case EVENT -> "attendance a join event e on e.id = a.event_id";
      case OFFICE -> "office f";
      case MESSAGE -> "message s";
    };
  }

  /** Whose a record is. */
  static String personId(Related kind) {
    return switch (kind) {
      case QUOTE -> "q.person_id";
      case TASK -> "t.person_id";
      case EVENT -> "a.person_id";
      case OFFICE -> "f.person_id";
      case MESSAGE -> "s.person_id";
    };
  }

  /** That a record counts at all: of messages, only what was sent. */
  static String counts(Related kind) {
    return kind == Related.MESSAGE ? "s.state = 'sent'" : "true";
  }

  static String ofPerson(Related kind) {
    return personId(kind) + " = p.id and " + counts(kind);
  }
}
