package app.jemble.change;

import app.jemble.core.record.Field;

/** Fields of one person or of many set in one statement, with the values before and after kept. */
public final class ChangeSql {

  private static final String PEOPLE =
      """

      from person p
      left join membership m on m.person_id = p.id
      where p.id = any(#{people})""";

  /**
   * One field of many people set to one value.
   *
   * @param batch the act it belongs to
   * @param value the value as JSON
   */
  public record SetField(long batch, Field field, String value, Long[] people) {}

  /**
   * A word added to many people's tags, or taken from them.
   *
   * @param add false takes it away
   */
  public record SetTag(long batch, String tag, boolean add, Long[] people) {}

  /** One field of a batch that is taken back. */
  public record SetBack(long batch, String field) {}

  private ChangeSql() {}

  /** Those who have the value already stay as they are. Answers how many changed. */
  public static String setField(SetField act) {
    Settable field = Settable.of(act.field());
    return set(
        field,
        "select p.id, "
            + field.read()
            + " as before, nullif(#{value}::jsonb, 'null') as after"
            + PEOPLE);
  }

  /** Tags are told apart without case and accents. Answers how many changed. */
  public static String setTag(SetTag act) {
    Settable tags = Settable.named("tags");
    String after =
        act.add()
            ? "to_jsonb(p.tags || array[#{tag}]::text[])"
            : "(select jsonb_agg(t) from unnest(p.tags) t where fold(t) <> fold(#{tag}))";
    return set(
        tags,
        "select p.id, %s as before, %s as after".formatted(tags.read(), after)
            + PEOPLE
            + (act.add() ? " and not " : " and ")
            + "p.tags_key @> array[fold(#{tag})]");
  }

  private static String set(Settable field, String wanted) {
    return "with wanted as (\n"
        + wanted
        + """

        ), changed as (
          update %s t
          set %s
          from wanted
          where t.%s = wanted.id and wanted.before is distinct from wanted.after
          returning wanted.id, wanted.before, wanted.after
        ), kept as (
          insert into change (batch_id, person_id, field, before, after)
          select #{batch}, id, '%s', before, after
          from changed
          returning 1
        )
        select count(*) from kept
        """
            .formatted(
                field.table().table(),
                field.assign("wanted.after"),
                field.table().key(),
                field.field());
  }

  /** Sets a field back for the people of a batch, where it still is what the batch made of it. */
  public static String setBack(SetBack undo) {
    Settable field = Settable.named(undo.field());
    return """
        with mine as (
          select c.person_id as id, c.before
          from change c
          join person p on p.id = c.person_id
          left join membership m on m.person_id = p.id
          where c.batch_id = #{batch} and c.field = #{field} and %s is not distinct from c.after
        )
        update %s t
        set %s
        from mine
        where t.%s = mine.id
        """
        .formatted(
            field.read(), field.table().table(), field.assign("mine.before"), field.table().key());
  }
}
