package app.jemble.people;

import app.jemble.core.record.PersonId;
import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.HangsOnPerson.Kind;
import app.jemble.storage.Sql;

/** Moves what hangs on a person, table by table, as the rooms say of theirs. */
final class MergeSql {

  private MergeSql() {}

  /** Moves all of one person's that can be another's; answers the keys of what was moved. */
  static Sql move(HangsOnPerson what, PersonId other, PersonId stays) {
    Sql from = Sql.param(other);
    Sql to = Sql.param(stays);
    if (what.isList()) {
      return Sql.of(
          """
          update %1$s t set %2$s
          where %4$s = any(t.%3$s) and not (%5$s = any(t.%3$s))
          returning %6$s""",
          what.table(), replacing(what, from, to), what.alike(), from, to, what.key());
    }
    return Sql.of(
        "update %s t set person_id = %s where t.person_id = %s%s returning %s",
        what.table(), to, from, movable(what, to), what.key());
  }

  private static Sql movable(HangsOnPerson what, Sql to) {
    if (what.kind() == Kind.OF_MESSAGE) {
      return Sql.of(
          " and t.message_id in (select id from offered.message where person_id = %s)", to);
    }
    return what.alike() == null
        ? Sql.NONE
        : Sql.of(
            " and not exists (select from %s k where k.person_id = %s and %s)",
            what.table(), to, what.alike());
  }

  /** Puts one row back; key as {@link #move} answered it. */
  static Sql moveBack(HangsOnPerson what, long key, PersonId other, PersonId stays) {
    Sql from = Sql.param(stays);
    Sql to = Sql.param(other);
    if (what.isList()) {
      return Sql.of(
          "update %s t set %s where %s = %s",
          what.table(), replacing(what, from, to), what.key(), Sql.param(key));
    }
    return Sql.of(
        "update %s t set person_id = %s where t.person_id = %s and %s = %s",
        what.table(), to, from, what.key(), Sql.param(key));
  }

  private static Sql replacing(HangsOnPerson what, Sql from, Sql to) {
    return Sql.of(
        "%1$s = array_replace(t.%1$s, %2$s::bigint, %3$s::bigint)", what.alike(), from, to);
  }
}
