package app.jemble.filter;

import app.jemble.core.filter.AsOf;
import app.jemble.core.record.Related;
import app.jemble.storage.Sql;

/** The tables of the records around people, and how they hang on a person {@code p}. */
final class RelatedTables {

  /** The tables that stand beside a person, by alias. */
  static Sql joinPerson(String alias) {
    return switch (alias) {
      case "m" -> Sql.of("\nleft join membership m on m.person_id = p.id");
      case "o" -> Sql.of("\nleft join organisation o on o.id = p.organisation_id");
      case "w" -> Sql.of("\nleft join account w on w.id = p.owner_id");
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
      case QUOTE -> Sql.of("quote q left join account qw on qw.id = q.owner_id");
      case TASK -> Sql.of("task t left join account tw on tw.id = t.owner_id");
      case EVENT -> Sql.of("attendance a join event e on e.id = a.event_id");
      case OFFICE -> Sql.of("office f");
      case MESSAGE -> Sql.of("message s");
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
   * nothing of mailings that are another's own.
   */
  static Sql counts(Related kind, AsOf asOf) {
    return kind == Related.MESSAGE
        ? Sql.of(
            """
            s.state = 'sent' and s.mailing_id not in (
              select private.id from mailing private
              join account sender on sender.id = private.sender_id
              where private.private and sender.login is distinct from %s)""",
            Sql.param(asOf.login()))
        : Sql.of("true");
  }

  static Sql ofPerson(Related kind, AsOf asOf) {
    return Sql.of("%s = p.id and %s", personId(kind), counts(kind, asOf));
  }
}
