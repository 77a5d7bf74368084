package app.jemble.own;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * Takes out of a database whoever is not a colleague's, with all that hangs on them: by the keys
 * that tables have to one another, and nothing the product says of whose people are seen.
 */
final class PeopleOfOthers {

  private record Key(String child, String column, String parent, String parentColumn) {}

  private final JdbcClient sql;

  PeopleOfOthers(JdbcClient sql) {
    this.sql = sql;
  }

  void remove(String login) {
    // Rows are taken away whatever hangs on them, and what hung on them after that.
    run("set session_replication_role = replica");
    run("delete from person where owner_id is distinct from " + idOf(login));
    for (String column : List.of("introduced_by", "merged_into")) {
      run("update person p set " + column + " = null where " + missing("p", column, "person"));
    }
    run("update account a set person_id = null where " + missing("a", "person_id", "person"));
    removeWithout(idOf(login));
    run("set session_replication_role = default");
  }

  private String idOf(String login) {
    return sql.sql("select id::text from account where login = ?")
        .param(login)
        .query(String.class)
        .single();
  }

  private static String missing(String alias, String column, String parent) {
    String key = alias + "." + column;
    return key
        + " is not null and not exists (select from "
        + parent
        + " x where x.id = "
        + key
        + ")";
  }

  /** What no key says: lists of numbers, addresses, mails, and what is of a whole act. */
  private void removeWithout(String owner) {
    removeOrphans();
    run(
        "delete from sign_up s where person_id is null and not exists"
            + " (select from sign_up_page g where g.id = s.page_id and g.owner_id = "
            + owner
            + ")");
    run(
        "delete from sign_up_day s where not exists"
            + " (select from sign_up_page g where g.id = s.page_id and g.owner_id = "
            + owner
            + ")");
    run(
        "delete from inbound_mail i where about_id is null"
            + " and not exists (select from response r where r.mail_id = i.id)");
    run("delete from import_run where by_id <> " + owner);
    run("delete from nod where asked_by <> " + owner);
    run("delete from print_run where made_by <> " + owner);
    run(
        "delete from change_batch b where by_id is distinct from "
            + owner
            + " and not exists (select from change c where c.batch_id = b.id)");
    run(
        "delete from do_not_write d where by_id is distinct from "
            + owner
            + " and not exists (select from person p where d.address_key in (p.email_key, p.phone_key))"
            + " and not exists (select from device v where lower(v.address) = d.address_key)");
    run(
        "update audience set picks = array(select x from unnest(picks) with ordinality u (x, n)"
            + " where x in (select id from person) order by n),"
            + " left_out = array(select x from unnest(left_out) with ordinality u (x, n)"
            + " where x in (select id from person) order by n),"
            + " record_ids = array(select x from unnest(record_ids) with ordinality u (x, n)"
            + " where x in (select id from quote union select id from task"
            + " union select id from attendance) order by n)");
    removeOrphans();
  }

  /** Until nothing hangs on what is gone any more. */
  private void removeOrphans() {
    List<Key> keys =
        sql.sql(
                """
                select c.conrelid::regclass::text as child, a.attname as column,
                       c.confrelid::regclass::text as parent, f.attname as parent_column
                from pg_constraint c
                join pg_attribute a on a.attrelid = c.conrelid and a.attnum = c.conkey[1]
                join pg_attribute f on f.attrelid = c.confrelid and f.attnum = c.confkey[1]
                where c.contype = 'f' and cardinality(c.conkey) = 1
                  and c.connamespace = 'public'::regnamespace
                """)
            .query(Key.class)
            .list();
    int gone;
    do {
      gone = 0;
      for (Key key : keys) {
        String of = "t." + key.column();
        gone +=
            run(
                "delete from "
                    + key.child()
                    + " t where "
                    + of
                    + " is not null and not exists"
                    + " (select from "
                    + key.parent()
                    + " x where x."
                    + key.parentColumn()
                    + " = "
                    + of
                    + ")");
      }
    } while (gone > 0);
  }

  private int run(String statement) {
    return sql.sql(statement).update();
  }
}
