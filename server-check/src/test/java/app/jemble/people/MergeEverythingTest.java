package app.jemble.people;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.ServerTest;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/**
 * Every column of the schema that points to a person, found by the schema itself: merging two
 * people takes it along, and taking the merge back puts it where it was. A column that is new is
 * missed here until it is looked after.
 */
public class MergeEverythingTest extends ServerTest {

  /** What points to the other and stays so, with the reason. */
  private static final Map<String, String> STAYS =
      Map.of(
          "change.person_id", "what was done to the record that is put away is its own history",
          "person.merged_into", "a record that became part of the other goes on saying so",
          "import_row.person_id", "what a file made of each row",
          "erasure.person_id", "whoever was erased is merged with nobody");

  /** Numbers that are not of people. */
  private static final List<String> OTHER_NUMBERS =
      List.of(
          "audience.record_ids",
          "handover.message_ids",
          "mailing_release.record_ids",
          "mailing_release.due_seconds",
          "sign_up.topics",
          "sign_up_page.topics");

  private final Map<String, String> rows = new TreeMap<>();

  @Override
  protected int people() {
    return 120;
  }

  /** Timed work would take up the release that is only a row here. */
  @Override
  protected List<String> moreSettings() {
    return List.of("--db-scheduler.enabled=false");
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api.signIn("orla", "lowen-quay");
    row(
        "membership.person_id",
        "insert into membership (person_id, plan, status, joined_on) values (?, 'Oar', 'active', '2020-01-01')");
    row(
        "topic_left.person_id",
        "insert into topic_left (person_id, topic_id, left_at) values (?, 1, now())");
    row("office.person_id", "insert into office (person_id, name) values (?, 'Treasurer')");
    row(
        "quote.person_id",
        "insert into quote (person_id, number, title, total, currency, stage, sent_on, owner_id) values (?, 'Q-merge', 'A mast', 10, 'GBP', 'open', '2026-01-01', 1)");
    row(
        "attendance.person_id",
        "insert into attendance (event_id, person_id, state) select id, ?, 'asked' from event limit 1");
    row(
        "task.person_id",
        "insert into task (person_id, kind, title, owner_id, created_at, created_by) values (?, 'call', 'Ring', 1, now(), 1)");
    row("list_member.person_id", "insert into list_member (list_id, person_id) values (1, ?)");
    row("account.person_id", "update account set person_id = ? where login = 'reed'");
    row("person.introduced_by", "update person set introduced_by = ? where id = 41");
    row(
        "audience.picks",
        "insert into audience (mailing_id, picks) values (1, array[5, ?, 6]) on conflict (mailing_id) do update set picks = excluded.picks");
    row(
        "audience.left_out",
        "insert into audience (mailing_id, left_out) values (1, array[?::bigint]) on conflict (mailing_id) do update set left_out = excluded.left_out");
    row(
        "own_wording.person_id",
        "insert into own_wording (mailing_id, person_id, channel, subject, body, shared_subject, shared_body, changed_at, changed_by) values (1, ?, 'TEXT', 's', 'b', 's', 'b', now(), 1)");
    row(
        "message.person_id",
        "insert into message (cause_id, person_id, address, recipient, token, state, frozen, due_at, sent_at) values (1, ?, 'a@b.example', 'A', 'merge-token', 'sent', '{}', now(), now())");
    row(
        "response.person_id",
        "insert into response (message_id, cause_id, person_id, kind, at) select id, cause_id, ?, 'OPENED', now() from message where token = 'merge-token'");
    row(
        "follow_act.person_id",
        "insert into follow_act (rule_id, message_id, person_id, state, at) select r.id, m.id, ?, 'not', now() from follow_rule r, message m where m.token = 'merge-token' order by r.id limit 1");
    row(
        "series_entry.person_id",
        "with s as (insert into series (name, topic_id, sender_id, created_at, created_by) values ('Merge', 1, 1, now(), 1) returning id) insert into series_entry (series_id, person_id, came_by, entered_at, passed_at, look_at) select id, ?, 'hand', now(), now(), now() from s");
    whatGoesOn();
  }

  /** Of series, sign-ups and days, and what is still being written. */
  private void whatGoesOn() {
    row(
        "way_closed.person_id",
        "insert into way_closed (person_id, channel, closed_at, how) values (?, 'TEXT', now(), 'said so')");
    row(
        "device.person_id",
        "insert into device (person_id, address, key, secret, registered_at, heard_at) values (?, 'https://push.example/merge', decode(repeat('04', 65), 'hex'), decode(repeat('07', 16), 'hex'), now(), now())");
    row(
        "sign_up.person_id",
        "with g as (insert into sign_up_page (key, name, words, languages, created_at, created_by) values ('merge', 'Merge', '{}', '{en}', now(), 1) returning id) insert into sign_up (page_id, token, address, said, topics, language, consent, consent_version, asked_at, asked_from, confirmed_at, person_id) select id, 'merge', 'm@merge.example', '{}', '{}', 'en', 'Yes', 1, now(), '::1', now(), ? from g");
    row(
        "occasion_turn.person_id",
        "with o as (insert into occasion (cause_id, name, field, kind, said_at, leaves, created_at) select min(id), 'Merge', 'birthday', 'YEARLY', '09:00', 'NOD', now() from cause returning id) insert into occasion_turn (occasion_id, person_id, day, years, said_on, state) select id, ?, '2026-11-27', 36, '2026-11-27', 'MISSED' from o");
    row(
        "mailing_release.person_ids",
        "insert into mailing_release (mailing_id, person_ids, record_ids, due_seconds) values (1, array[7, ?], array[0, 0], array[0, 0])");
    onPaper("print_run.picks", "array[?::bigint], '{}'", "");
    onPaper("print_run.left_out", "'{}', array[?::bigint]", "");
    onPaper(
        "print_own.person_id",
        "'{}', '{}'",
        "print_own (run_id, person_id, words) select id, ?, 'w'");
    onPaper(
        "print_item.person_id",
        "'{}', '{}'",
        "print_item (run_id, place, person_id, words, address) select id, 0, ?, 'w', ''");
  }

  private void onPaper(String column, String people, String then) {
    String run =
        "insert into print_run (name, made_by, created_at, parts, picks, left_out, design) values ('Merge', 1, now(), '[]', "
            + people
            + ", '{}')";
    row(
        column,
        then.isEmpty()
            ? run
            : "with r as (" + run + " returning id) insert into " + then + " from r");
  }

  private void row(String column, String statement) {
    rows.put(column, statement);
  }

  /** Every column that refers to a person, is named so, or holds a list of numbers. */
  private TreeSet<String> columns() {
    return new TreeSet<>(
        sql.sql(
                """
                select c.conrelid::regclass || '.' || a.attname
                from pg_constraint c
                join pg_attribute a on a.attrelid = c.conrelid and a.attnum = c.conkey[1]
                where c.contype = 'f' and c.confrelid = 'person'::regclass
                union
                select table_name || '.' || column_name
                from information_schema.columns
                where table_schema = 'public' and is_generated = 'NEVER'
                  and table_name in (select tablename from pg_tables where schemaname = 'public')
                  and (column_name in ('person_id', 'introduced_by') or udt_name = '_int8')
                """)
            .query(String.class)
            .list());
  }

  @Test
  public void everyColumnThatPointsToAPersonIsLookedAfter() {
    TreeSet<String> known = new TreeSet<>(rows.keySet());
    known.addAll(STAYS.keySet());
    known.addAll(OTHER_NUMBERS);
    assertThat(columns()).isEqualTo(known);
  }

  private long pointingTo(String column, long person) {
    String[] tableAndColumn = column.split("\\.");
    boolean list =
        !sql.sql(
                "select data_type from information_schema.columns where table_schema = 'public' and table_name = ? and column_name = ?")
            .params(List.of(tableAndColumn[0], tableAndColumn[1]))
            .query(String.class)
            .single()
            .equals("bigint");
    return sql.sql(
            String.format(
                Locale.ROOT,
                "select count(*) from %s where ? = %s",
                tableAndColumn[0],
                list ? "any(" + tableAndColumn[1] + ")" : tableAndColumn[1]))
        .param(person)
        .query(Long.class)
        .single();
  }

  @Test
  public void allOfItGoesToTheOneWhoStaysAndComesBack() {
    long stays = addPerson("Bo", "Lund", "bo@lund.example");
    long other = addPerson("Bo", "LUND", "bo.lund@lund.example");
    // In an order in which each finds what it needs.
    List<String> order = List.of("message.person_id", "response.person_id", "follow_act.person_id");
    order.forEach(c -> assertThat(sql.sql(rows.get(c)).param(other).update()).as(c).isEqualTo(1));
    rows.forEach(
        (column, statement) -> {
          if (!order.contains(column)) {
            assertThat(sql.sql(statement).param(other).update()).as(column).isEqualTo(1);
          }
        });
    Map<String, Object> merge = Map.of("other", other, "take", List.of());
    long act = api.post("/api/people/" + stays + "/merge", merge).json().get("act").asLong();
    for (String column : rows.keySet()) {
      assertThat(pointingTo(column, other)).as(column + " still points to the other").isZero();
      assertThat(pointingTo(column, stays)).as(column).isEqualTo(1);
    }
    assertThat(api.post("/api/changes/" + act + "/undo", Map.of()).status()).isEqualTo(200);
    for (String column : rows.keySet()) {
      assertThat(pointingTo(column, other)).as(column + " went back").isEqualTo(1);
      assertThat(pointingTo(column, stays)).as(column).isZero();
    }
  }

  /** What the one who stays has already stays with the other, and nothing fails because of it. */
  @Test
  public void whatBothHaveIsKeptOnce() {
    long stays = addPerson("Ann", "Reyes", "ann@reyes.example");
    long other = addPerson("Ann", "Reyes", "ann.reyes@reyes.example");
    for (String column :
        List.of(
            "membership.person_id",
            "topic_left.person_id",
            "list_member.person_id",
            "attendance.person_id",
            "own_wording.person_id")) {
      sql.sql(rows.get(column).replace("values (1, ?, 'TEXT'", "values (2, ?, 'TEXT'"))
          .param(other)
          .update();
      sql.sql(rows.get(column).replace("values (1, ?, 'TEXT'", "values (2, ?, 'TEXT'"))
          .param(stays)
          .update();
    }
    sql.sql("update audience set picks = array[?, ?]::bigint[] where mailing_id = 2")
        .params(List.of(other, stays))
        .update();
    assertThat(
            api.post("/api/people/" + stays + "/merge", Map.of("other", other, "take", List.of()))
                .status())
        .isEqualTo(200);
    assertThat(pointingTo("audience.picks", stays)).isEqualTo(1);
    assertThat(pointingTo("membership.person_id", stays)).isEqualTo(1);
    assertThat(pointingTo("own_wording.person_id", stays)).isEqualTo(1);
  }
}
