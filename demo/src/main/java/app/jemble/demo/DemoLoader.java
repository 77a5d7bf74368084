package app.jemble.demo;

import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.context.properties.EnableConfigurationProperties;
import org.springframework.core.annotation.Order;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Fills an empty database with the boatyard. */
@Component
@Order(1)
@ConditionalOnProperty("jemble.demo.enabled")
@EnableConfigurationProperties(DemoSettings.class)
class DemoLoader implements ApplicationRunner {

  private static final Logger LOG = LoggerFactory.getLogger(DemoLoader.class);
  static final String ZONE = "Europe/London";

  private final DemoSettings settings;
  private final DemoHouse house;
  private final DemoPast past;
  private final DemoAfterwards afterwards;
  private final DemoAround around;
  private final DemoDocuments documents;
  private final DataSource database;
  private final JdbcClient sql;
  private final Clock clock;

  DemoLoader(
      DemoSettings settings,
      DemoHouse house,
      DemoPast past,
      DemoAfterwards afterwards,
      DemoAround around,
      DemoDocuments documents,
      DataSource database,
      JdbcClient sql,
      Clock clock) {
    this.settings = settings;
    this.house = house;
    this.past = past;
    this.afterwards = afterwards;
    this.around = around;
    this.documents = documents;
    this.database = database;
    this.sql = sql;
    this.clock = clock;
  }

  @Override
  public void run(ApplicationArguments arguments) throws SQLException {
    if (!house.isEmpty()) {
      return;
    }
    Instant began = clock.instant();
    house.add(settings.password());
    addPeople();
    around.add();
    makeLetterheadOwn();
    addTemplates();
    documents.add();
    inOne(connection -> past.write(connection, settings));
    continueIds();
    past.enter(settings);
    afterwards.add();
    // Their senders know of the past ones.
    sql.sql(
            """
            insert into mailing_summary (mailing_id, summed_up_at)
            select g.id, g.due_at
            from cause g
            where g.kind = 'MAILING' and g.state = 'released' and not exists (
              select from message s where s.cause_id = g.id and s.state = 'waiting')
            on conflict do nothing
            """)
        .update();
    // So that a list is counted from its index alone.
    sql.sql("vacuum analyze").update();
    LOG.info(
        "The demo has {} people ({} s).",
        settings.people(),
        java.time.Duration.between(began, clock.instant()).toSeconds());
  }

  private void addPeople() throws SQLException {
    List<Long> owners = house.owners();
    List<Long> introducers = around.colleaguesOwnRecords(settings.people() + 1L);
    // Nobody is on the do-not-write list yet; a million need not be looked up in it.
    sql.sql("alter table person disable trigger person_suppressed").update();
    inOne(
        connection ->
            new DemoPeople(settings.seed(), clock.instant(), introducers)
                .write(connection, settings.people(), owners, DemoWords.HOUSES.size()));
    sql.sql("alter table person enable trigger person_suppressed").update();
    continueIds();
    // Some mail came back long ago, and some people left a topic.
    sql.sql(
            """
            insert into do_not_write (address_key, reason, since, note)
            select distinct email_key, 'hard return', now() - interval '200 days', '5.1.1 no such mailbox'
            from person
            where email_key is not null and id % 131 = 0
            """)
        .update();
    sql.sql(
            """
            insert into topic_left (person_id, topic_id, left_at)
            select id, 1, now() - interval '100 days'
            from person
            where id % 97 = 0
            """)
        .update();
  }

  /** The house has looked at its letterhead: its set-up is long done. */
  private void makeLetterheadOwn() {
    sql.sql("update letterhead set changed_by = (select id from account where login = 'wilma')")
        .update();
  }

  private void addTemplates() {
    for (DemoTexts.Text text : DemoTexts.TEMPLATES) {
      sql.sql(
              """
              insert into template (name, label, starts_from, subject, body, topic_id,
                                    letterhead_id, made_by, changed_at, changed_by)
              select ?, ?, ?, ?, ?, c.id, (select min(id) from letterhead), a.id, ?, a.id
              from topic c, account a
              where c.name = ? and a.login = 'orla'
              """)
          .params(
              List.of(
                  text.name(),
                  text.label(),
                  text.startsFrom(),
                  text.subject(),
                  text.body(),
                  java.sql.Timestamp.from(clock.instant()),
                  text.topic()))
          .update();
    }
  }

  /** The next id after those that were written by COPY. */
  private void continueIds() {
    for (String table : List.of("person", "message", "sent_copies")) {
      sql.sql(
              String.format(
                  Locale.ROOT,
                  "select setval(pg_get_serial_sequence('%1$s', 'id'), coalesce(max(id), 1)) from %1$s",
                  table))
          .query(Long.class)
          .single();
    }
  }

  /** Something done with one connection. */
  private interface Work {
    void with(Connection connection) throws SQLException;
  }

  private void inOne(Work work) throws SQLException {
    try (Connection connection = database.getConnection()) {
      work.with(connection);
    }
  }
}
