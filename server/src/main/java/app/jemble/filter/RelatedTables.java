package app.jemble.filter;

import app.jemble.core.filter.AsOf;
import app.jemble.core.record.Related;
import app.jemble.storage.Sql;

/** The tables of the records around people, and how they hang on a person {@code p}. */
final class RelatedTables {

  /** The tables that stand beside a person, by alias. */
  static Sql joinPerson(String alias) {
    return switch (alias) {
      case "m" -> Sql.of("\nleft join offered.membership m on m.person_id = p.id");
      case "o" -> Sql.of("\nleft join offered.organisation o on o.id = p.organisation_id");
      case "w" -> Sql.of("\nleft join offered.account w on w.id = p.owner_id");
      default -> throw new IllegalArgumentException("no table is joined as " + alias);
    };
  }

  /** The id of a record; null stands for people. */
  static Sql id(Related kind) {
    if (kind == null) {
      return Sql.of("p.id");
    }
    return switch (kind) {
      case QUOTE -> Sql.of("q.id");
      case TASK -> Sql.of("t.id");
      case EVENT -> Sql.of("a.id");
      case OFFICE -> Sql.of("f.id");
      case MESSAGE -> Sql.of("s.id");
    };
  }

  private RelatedTables() {}

  static Sql from(Related kind) {
    return switch (kind) {
      case QUOTE -> Sql.of("offered.quote q left join offered.account qw on qw.id = q.owner_id");
      case TASK -> Sql.of("offered.task t left join offered.account tw on tw.id = t.owner_id");
      case EVENT -> Sql.of("offered.attendance a join offered.event e on e.id = a.event_id");
      case OFFICE -> Sql.of("offered.office f");
      case MESSAGE -> Sql.of("offered.message s");
    };
  }

  /** Whose a record is. */
  static Sql personId(Related kind) {
    return switch (kind) {
      case QUOTE -> Sql.of("q.person_id");
      case TASK -> Sql.of("t.person_id");
      case EVENT -> Sql.of("a.person_id");
      case OFFICE -> Sql.of("f.person_id");
      case MESSAGE -> Sql.of("s.person_id");
    };
  }

  /**
   * That a record counts at all for the colleague who asks: of messages, only what was sent, and
   * nothing of mailings that they do not see.
   */
  static Sql counts(Related kind, AsOf asOf) {
    return kind == Related.MESSAGE
        ? Sql.of(
            """
            s.state = 'sent' and s.cause_id in (
              select g.id from offered.open_cause g
              join offered.account sees on sees.id = g.open_to
              where sees.login = %s)""",
            Sql.param(asOf.login()))
        : Sql.of("true");
  }

  static Sql ofPerson(Related kind, AsOf asOf) {
    return Sql.of("%s = p.id and %s", personId(kind), counts(kind, asOf));
  }
}
