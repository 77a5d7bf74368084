package app.jemble.workspace;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.TestDatabase;
import java.util.List;
import org.flywaydb.core.Flyway;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import org.testng.annotations.Test;

/** Offices that were typed before the house named them become its words, with filters following. */
public class OfficesThatWereTypedTest {

  private static final String HAS =
      """
      {"match": "ALL", "conditions": [{"field": "name", "operator": "IS", "values": ["Chair"]}],
       "related": [{"kind": "OFFICE", "atLeast": 1, "where": {"match": "ALL", "conditions":
         [{"field": "name", "operator": "%s", "values": [%s]}], "related": [], "groups": []}}],
       "groups": []}""";

  private JdbcClient sql;

  private static void migrate(String address, String to) {
    Flyway.configure()
        .dataSource(address, null, null)
        .locations("classpath:db/migration")
        .target(to)
        .load()
        .migrate();
  }

  private String words(String filter) {
    return sql.sql("select filter -> 'related' from kept_filter where name = ?")
        .param(filter)
        .query(String.class)
        .single();
  }

  private void keep(String name, String operator, String words) {
    sql.sql(
            "insert into kept_filter (owner_id, subject, name, filter, shared, changed_at)"
                + " values (1, 'people', ?, ?::jsonb, false, now())")
        .params(List.of(name, HAS.replaceFirst("%s", operator).replaceFirst("%s", words)))
        .update();
  }

  @Test
  public void theyAreWordsOfTheHouse() {
    String address = TestDatabase.empty();
    migrate(address, "49");
    sql = JdbcClient.create(new DriverManagerDataSource(address));
    sql.sql(
            "insert into account (login, name, email, title, role_id) select 'a', 'A', 'a@own.test', '', min(id) from role")
        .update();
    sql.sql(
            """
            insert into person (kind, first_name, created_at)
            select 'contact', unnest(array['Ada', 'Bo', 'Cy', 'Di']), now()""")
        .update();
    sql.sql(
            """
            insert into office (person_id, name) values
            (1, 'Chair'), (2, 'chair '), (3, 'Chair'), (3, 'Harbour steward'), (4, 'Harbour keeper')
            """)
        .update();
    keep("is", "IS", "\"CHAIR\"");
    keep("not", "IS_NOT", "\"Chair\"");
    keep("holds", "CONTAINS", "\"harbour\"");
    keep("gone", "STARTS_WITH", "\"Admiral\"");
    migrate(address, "50");
    assertThat(sql.sql("select name from office order by id").query(String.class).list())
        .containsExactly("Chair", "Chair", "Chair", "Harbour steward", "Harbour keeper");
    assertThat(
            sql.sql(
                    """
                    select name || case when retired_at is null then '' else ' -' end
                    from standing_word where about = 'OFFICE' order by place""")
                .query(String.class)
                .list())
        .containsExactly("Chair", "Harbour keeper", "Harbour steward", "Admiral -");
    assertThat(words("is")).contains("\"ANY_OF\"", "[\"Chair\"]");
    assertThat(words("not")).contains("\"NONE_OF\"", "[\"Chair\"]");
    assertThat(words("holds")).contains("\"ANY_OF\"", "\"Harbour keeper\"", "\"Harbour steward\"");
    assertThat(words("gone")).contains("\"ANY_OF\"", "[\"Admiral\"]");
    assertThat(
            sql.sql(
                    "select count(*) from kept_filter where filter #>> '{conditions,0,operator}' = 'IS'")
                .query(Long.class)
                .single())
        .as("names of people are asked for as before")
        .isEqualTo(4);
  }
}
