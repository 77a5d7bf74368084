package app.jemble;

import java.util.List;
import java.util.Locale;
import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * Two houses of which PostgreSQL reads one in other ways than the other: what is answered in no
 * order of its own comes out otherwise each time, and not once in a hundred.
 */
public final class OtherPlans {

  private OtherPlans() {}

  /** What is counted by groups, and what is distinct, comes as it was hashed. */
  public static void byHash(JdbcClient sql) {
    off(sql, "sort");
  }

  /** It comes sorted, and rows that nobody sorts lie in another order. */
  public static void bySort(JdbcClient sql) {
    sql.sql("set session_replication_role = replica").update();
    sql.sql("select tablename from pg_tables where schemaname = 'public'")
        .query(String.class)
        .list()
        .forEach(table -> lieElsewhere(sql, table));
    sql.sql("set session_replication_role = default").update();
    List.of("hashagg", "hashjoin", "indexscan").forEach(way -> off(sql, way));
  }

  /** From the next connection on. */
  private static void off(JdbcClient sql, String way) {
    String name = sql.sql("select current_database()").query(String.class).single();
    sql.sql("alter database " + name + " set enable_" + way + " = off").update();
  }

  /** What is written anew, with nothing changed, lies behind the rest. */
  private static void lieElsewhere(JdbcClient sql, String table) {
    String column =
        sql.sql(
                """
                select column_name from information_schema.columns
                where table_schema = 'public' and table_name = ?
                  and is_generated = 'NEVER' and is_identity = 'NO'
                order by ordinal_position
                limit 1
                """)
            .param(table)
            .query(String.class)
            .single();
    String anew = "update public.%1$s t set %2$s = %2$s where md5(t::text) < '8'";
    sql.sql(String.format(Locale.ROOT, anew, table, column)).update();
  }
}
