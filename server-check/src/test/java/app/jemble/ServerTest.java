package app.jemble;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.access.SealedSecret;
import app.jemble.standins.PostOffice;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.support.GenericApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;

/** The whole application on a database and a post office of the test class's own. */
public abstract class ServerTest {

  /** The fewest there are: half of the time of all trials went into passwords. */
  private static final int QUICK_ROUNDS = 4;

  protected static final String KEY =
      Base64.getEncoder().encodeToString(new byte[SealedSecret.KEY]);

  protected final TestClock clock = new TestClock();
  protected PostOffice office;
  protected ConfigurableApplicationContext application;
  protected JdbcClient sql;
  protected Api api;
  protected int port;
  private String database;

  /** Whether the demo's series are there, which write by themselves when time goes on. */
  protected boolean demoSeries() {
    return false;
  }

  /** How many people the demo has; 0 leaves the database empty. */
  protected int people() {
    return 0;
  }

  /** The port the application listens on; 0 takes a free one. */
  protected int wantedPort() {
    return 0;
  }

  /** The port for whoever watches over the process; -1 for none, 0 for a free one. */
  protected int managementPort() {
    return -1;
  }

  /** Where readers find marks, links and the leaving page; nowhere, unless a test wants them to. */
  protected String publicUrl() {
    return "http://127.0.0.1:1";
  }

  /** How long pretend readers take for what they do in a day; some mailboxes never work. */
  protected Duration readersDay() {
    return Duration.ofSeconds(5);
  }

  /** Whether the demo's days off are none: whatever day it is, a test sets its own. */
  protected boolean isAnyDay() {
    return true;
  }

  /** Settings besides the usual ones, as {@code --name=value}. */
  protected List<String> moreSettings() {
    return List.of();
  }

  /** Mail server and mailbox, as set outside; none: nothing is set there. */
  protected List<String> mailSettings() {
    return List.of(
        "--jemble.smtp.port=" + smtpPort(),
        "--jemble.imap.host=127.0.0.1",
        "--jemble.imap.port=" + office.imapPort(),
        "--jemble.imap.user=" + PostOffice.COMMON_MAILBOX,
        "--jemble.imap.password=" + PostOffice.COMMON_PASSWORD);
  }

  /** Ends the house, and starts another on a database of its own. */
  protected void moveTo(String otherDatabase) {
    application.close();
    database = otherDatabase;
    application = start();
    port = application.getEnvironment().getProperty("local.server.port", Integer.class);
    sql = application.getBean(JdbcClient.class);
  }

  /** The mail server messages leave through. */
  protected int smtpPort() {
    return office.smtpPort();
  }

  @BeforeClass
  public void startAll() {
    office = new PostOffice(0, 0, "ternquay.example", readersDay(), 7);
    database = TestDatabase.create();
    application = start();
    port = application.getEnvironment().getProperty("local.server.port", Integer.class);
    sql = application.getBean(JdbcClient.class);
    api = new Api("http://127.0.0.1:" + port);
    sql.sql("update workspace set hold_seconds = 0").update();
    if (isAnyDay()) {
      sql.sql("delete from day_off").update();
    }
  }

  /** Another process would be started so: the same database, the same mail host. */
  protected ConfigurableApplicationContext start() {
    SpringApplication jemble = new SpringApplication(JembleApplication.class);
    jemble.addInitializers(
        context -> {
          GenericApplicationContext beans = (GenericApplicationContext) context;
          beans.registerBean("testClock", Clock.class, () -> clock, b -> b.setPrimary(true));
          beans.registerBean(
              "quickPasswords",
              PasswordEncoder.class,
              () -> new BCryptPasswordEncoder(QUICK_ROUNDS),
              b -> b.setPrimary(true));
        });
    List<String> settings = new java.util.ArrayList<>(usualSettings());
    settings.addAll(mailSettings());
    settings.addAll(moreSettings());
    return jemble.run(settings.toArray(String[]::new));
  }

  private List<String> usualSettings() {
    return List.of(
        "--server.port=" + wantedPort(),
        "--management.server.port=" + managementPort(),
        "--jemble.public-url=" + publicUrl(),
        "--spring.datasource.url=" + database,
        "--spring.datasource.username=jemble",
        "--jemble.imap.every=1s",
        "--jemble.outbox.poll-every=50ms",
        "--jemble.key=" + KEY,
        "--jemble.demo.enabled=" + (people() > 0),
        "--jemble.demo.people=" + Math.max(1, people()),
        "--jemble.demo.series=" + demoSeries(),
        "--jemble.demo.password=lowen-quay");
  }

  @AfterClass(alwaysRun = true)
  public void stopAll() {
    if (application != null) {
      application.close();
    }
    if (office != null) {
      office.close();
    }
  }

  /** The database's JDBC address. */
  protected String database() {
    return database;
  }

  /** Lets it refuse everybody and end what goes on, or be there again. */
  protected void letDatabaseBeThere(boolean there) {
    String name = database.replaceAll(".*/(test_[a-z0-9]+).*", "$1");
    String cluster = System.getenv("JEMBLE_TEST_DB");
    try (var connection = DriverManager.getConnection(cluster);
        var statement = connection.createStatement()) {
      statement.execute("alter database " + name + " with allow_connections " + there);
      if (!there) {
        statement.execute(
            "select pg_terminate_backend(pid) from pg_stat_activity where datname = '"
                + name
                + "'");
      }
    } catch (SQLException e) {
      throw new IllegalStateException(e);
    }
  }

  /** Adds a person who can be written to; answers the id. */
  protected long addPerson(String firstName, String lastName, String email) {
    return sql.sql(
            """
            insert into person (kind, first_name, last_name, email, created_at)
            values ('contact', ?, ?, ?, now())
            returning id
            """)
        .params(java.util.Arrays.asList(firstName, lastName, email))
        .query(Long.class)
        .single();
  }

  /** Begins labels for people picked by hand; answers the id of the print run. */
  protected long beginLabels(List<Long> people) {
    Map<String, Object> everybody =
        Map.of("match", "ALL", "conditions", List.of(), "related", List.of(), "groups", List.of());
    Api.Answer begun =
        api.post("/api/print-runs", Map.of("who", Map.of("filter", everybody, "picks", people)));
    assertThat(begun.status()).as(begun.text()).isEqualTo(200);
    return begun.json().get("id").asLong();
  }

  /** Begins a mailing to people picked by hand and writes its texts; answers its id. */
  protected long draft(List<Long> picks, String subject, String body) {
    Api.Answer begun = api.post("/api/mailings", new Begin(picks));
    assertThat(begun.status()).as(begun.text()).isEqualTo(200);
    long id = begun.json().get("id").asLong();
    api.put("/api/mailings/" + id, change(id, subject, body));
    return id;
  }

  /** What is sent to change a draft's texts, at the version it has now. */
  protected Map<String, Object> change(long id, String subject, String body) {
    return Drafts.change(api, id, subject, body);
  }

  /** Releases a draft at the version it has now. */
  protected Api.Answer release(long id) {
    int version = api.get("/api/mailings/" + id).json().get("version").asInt();
    return api.post("/api/mailings/" + id + "/release", Map.of("version", version));
  }

  /** Waits until each message of a mailing is in a state it does not leave by itself. */
  protected void awaitSettled(long mailing) {
    Eventually.holds(
        () -> {
          long moving =
              sql.sql(
                      """
                      select count(*) from message
                      where cause_id = ? and state = 'waiting'
                      """)
                  .param(mailing)
                  .query(Long.class)
                  .single();
          if (moving > 0) {
            throw new AssertionError(moving + " messages have not left");
          }
        });
  }

  /** One value of one message. */
  protected String messageValue(long mailing, long person, String column) {
    return sql.sql("select " + column + " from message where cause_id = ? and person_id = ?")
        .params(List.of(mailing, person))
        .query(String.class)
        .optional()
        .orElse(null);
  }

  /** The body of a request to begin a mailing to picked people. */
  protected record Begin(
      List<Object> parts, List<Long> picks, List<Long> leftOut, Long templateId, Long mailingId) {
    Begin(List<Long> picks) {
      this(List.of(), picks, List.of(), null, null);
    }
  }

  /** The id of a role, by its name. */
  protected long roleId(String name) {
    return sql.sql("select id from role where name = ?").param(name).query(Long.class).single();
  }

  /** A colleague of the demo's house, signed in. */
  protected Api signedIn(String login) {
    return signedIn(login, "lowen-quay");
  }

  protected Api signedIn(String login, String password) {
    Api colleague = new Api("http://127.0.0.1:" + port);
    assertThat(colleague.signIn(login, password).status()).isEqualTo(200);
    return colleague;
  }
}
