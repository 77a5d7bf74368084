package app.jemble.people;

/** Moves what hangs on a person, table by table. */
public final class MergeSql {

  /** What hangs on a person: its table, what names a row of one person, and what moves. */
  public enum Hanging {
    MESSAGE("message", "id", "mailing_id"),
    RESPONSE("response", "id", null),
    QUOTE("quote", "id", null),
    TASK("task", "id", null),
    OFFICE("office", "id", null),
    ATTENDANCE("attendance", "id", "event_id"),
    LIST("list_member", "list_id", "list_id"),
    TOPIC("topic_left", "topic_id", "topic_id"),
    MEMBERSHIP("membership", "0", "0");

    private final String table;
    private final String key;

    /** What the one who stays must not have already; null when several are fine. */
    private final String once;

    Hanging(String table, String key, String once) {
      this.table = table;
      this.key = key;
      this.once = once;
    }
  }

  /** All of one person's that can be another's. */
  public record Move(Hanging what, long other, long stays) {}

  /** One row that goes back; key as {@link #move} answered it. */
  public record MoveBack(Hanging what, long key, long other, long stays) {}

  private MergeSql() {}

  public static String move(Move move) {
    Hanging what = move.what();
    String alone =
        what.once == null
            ? ""
            : """

               and not exists (
                select from %1$s k where k.person_id = #{stays} and (%2$s) = (%3$s))"""
                .formatted(what.table, qualified("k", what.once), qualified("t", what.once));
    // A response belongs to whoever the message belongs to.
    String withMessage =
        what == Hanging.RESPONSE
            ? " and t.message_id in (select id from message where person_id = #{stays})"
            : "";
    return "update "
        + what.table
        + " t set person_id = #{stays} where t.person_id = #{other}"
        + alone
        + withMessage
        + " returning "
        + qualified("t", what.key);
  }

  public static String moveBack(MoveBack move) {
    Hanging what = move.what();
    return "update "
        + what.table
        + " t set person_id = #{other} where t.person_id = #{stays} and "
        + qualified("t", what.key)
        + " = #{key}";
  }

  private static String qualified(String alias, String column) {
    return column.equals("0") ? "0" : alias + "." + column;
  }
}
