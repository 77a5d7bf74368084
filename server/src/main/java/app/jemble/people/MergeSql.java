package app.jemble.people;

import app.jemble.storage.Sql;

/** Moves what hangs on a person, table by table. */
final class MergeSql {

  /** A column that points to people, and what of it goes to the one who stays. */
  enum Hanging {
    MESSAGE(Sql.of("message"), Sql.of("t.id"), Sql.of("k.mailing_id = t.mailing_id")),
    // What belongs to a message goes where the message went.
    RESPONSE(Sql.of("response"), Sql.of("t.id"), null),
    FOLLOW_ACT(Sql.of("follow_act"), Sql.of("t.message_id"), null),
    QUOTE(Sql.of("quote"), Sql.of("t.id"), null),
    TASK(Sql.of("task"), Sql.of("t.id"), null),
    OFFICE(Sql.of("office"), Sql.of("t.id"), null),
    ATTENDANCE(Sql.of("attendance"), Sql.of("t.id"), Sql.of("k.event_id = t.event_id")),
    LIST(Sql.of("list_member"), Sql.of("t.list_id"), Sql.of("k.list_id = t.list_id")),
    TOPIC(Sql.of("topic_left"), Sql.of("t.topic_id"), Sql.of("k.topic_id = t.topic_id")),
    MEMBERSHIP(Sql.of("membership"), Sql.of("0"), Sql.of("true")),
    OWN_WORDING(
        Sql.of("own_wording"), Sql.of("t.mailing_id"), Sql.of("k.mailing_id = t.mailing_id")),
    /** A colleague's own record. */
    ACCOUNT(Sql.of("account"), Sql.of("t.id"), Sql.of("true")),
    PICK(Sql.of("mailing"), Sql.of("t.id"), Sql.of("audience_picks")),
    LEFT_OUT(Sql.of("mailing"), Sql.of("t.id"), Sql.of("left_out")),
    /** Of a release that is still being written. */
    RELEASE(Sql.of("mailing_release"), Sql.of("t.mailing_id"), Sql.of("person_ids"));

    private final Sql table;

    /** What names a row of one person. */
    private final Sql key;

    /**
     * Of rows: which {@code k} of the one who stays is the like of {@code t}, so that {@code t}
     * stays where it is; null when several are fine. Of lists of numbers: the column.
     */
    private final Sql alikeOrColumn;

    Hanging(Sql table, Sql key, Sql alikeOrColumn) {
      this.table = table;
      this.key = key;
      this.alikeOrColumn = alikeOrColumn;
    }

    private boolean isOfMessage() {
      return this == RESPONSE || this == FOLLOW_ACT;
    }

    private boolean isListOfNumbers() {
      return this == PICK || this == LEFT_OUT || this == RELEASE;
    }
  }

  private MergeSql() {}

  /** Moves all of one person's that can be another's; answers the keys of what was moved. */
  static Sql move(Hanging what, long other, long stays) {
    Sql from = Sql.param(other);
    Sql to = Sql.param(stays);
    if (what.isListOfNumbers()) {
      return Sql.of(
          """
          update %1$s t set %2$s
          where %4$s = any(t.%3$s) and not (%5$s = any(t.%3$s))
          returning %6$s""",
          what.table, replacing(what, from, to), what.alikeOrColumn, from, to, what.key);
    }
    return Sql.of(
        "update %s t set person_id = %s where t.person_id = %s%s returning %s",
        what.table, to, from, movable(what, to), what.key);
  }

  private static Sql movable(Hanging what, Sql to) {
    if (what.isOfMessage()) {
      return Sql.of(" and t.message_id in (select id from message where person_id = %s)", to);
    }
    return what.alikeOrColumn == null
        ? Sql.NONE
        : Sql.of(
            " and not exists (select from %s k where k.person_id = %s and %s)",
            what.table, to, what.alikeOrColumn);
  }

  /** Puts one row back; key as {@link #move} answered it. */
  static Sql moveBack(Hanging what, long key, long other, long stays) {
    Sql from = Sql.param(stays);
    Sql to = Sql.param(other);
    if (what.isListOfNumbers()) {
      return Sql.of(
          "update %s t set %s where %s = %s",
          what.table, replacing(what, from, to), what.key, Sql.param(key));
    }
    return Sql.of(
        "update %s t set person_id = %s where t.person_id = %s and %s = %s",
        what.table, to, from, what.key, Sql.param(key));
  }

  /** Whoever is writing at a mailing meanwhile is told that it was changed. */
  private static Sql replacing(Hanging what, Sql from, Sql to) {
    Sql replaced =
        Sql.of(
            "%1$s = array_replace(t.%1$s, %2$s::bigint, %3$s::bigint)",
            what.alikeOrColumn, from, to);
    return what == Hanging.RELEASE ? replaced : replaced.plus(", version = t.version + 1");
  }
}
