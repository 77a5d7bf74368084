package app.jemble.outbox;

import app.jemble.kills.KilledProcesses;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * Two processes of the application empty one outbox through a moody mail server, while each is
 * killed (SIGKILL) at random several times and PostgreSQL is brought down once in the middle: one
 * of its own processes is killed, so that it drops every connection and recovers from its log.
 */
public final class KillTrial {

  private static final int CONNECTIONS = 2;
  private static final Duration LIMIT = Duration.ofMinutes(4);

  /** A minute of waiting after "come back later" passes in a second. */
  private static final int CLOCK_SPEED = 60;

  /**
   * @param database its JDBC address; the messages wait in it
   * @param kills how many processes are killed, one after another
   * @param delayMillis how long the mail server takes over a message at most
   */
  public record Setting(String database, long seed, int kills, int delayMillis) {}

  /**
   * What came of it.
   *
   * @param unsettled messages that still wait; none may
   * @param lost marked as sent, but the mail server never had it; none may be
   * @param twice taken over by the mail server more than once; none may be
   * @param refusedWithoutCode none may be
   * @param mostDoubts how many may be in doubt at most: one a connection of a killed process, and
   *     those whose answer the mail server kept to itself
   */
  public record Outcome(
      int messages,
      int sent,
      int refused,
      int inDoubt,
      int unsettled,
      int lost,
      int twice,
      int refusedWithoutCode,
      int kills,
      int mostDoubts) {}

  private final Setting setting;
  private final Random random;
  private final Path folder;
  private KilledProcesses processes;

  private KillTrial(Setting setting) throws IOException {
    this.setting = setting;
    this.random = new Random(setting.seed());
    this.folder = Files.createTempDirectory("jemble-kills");
  }

  /** Empties the outbox, and adds people to write to. */
  public static List<Long> people(JdbcClient sql, int count) {
    sql.sql("delete from response").update();
    sql.sql("delete from message").update();
    return sql.sql(
            """
            insert into person (kind, first_name, last_name, email, created_at)
            select 'contact', 'Ann', 'Other ' || n, 'ann' || n || '@kills.example', now()
            from generate_series(1, ?) n
            returning id
            """)
        .param(count)
        .query(Long.class)
        .list();
  }

  /** Runs until every message is settled. */
  public static Outcome run(Setting setting) throws IOException, SQLException {
    return new KillTrial(setting).run();
  }

  private Outcome run() throws IOException, SQLException {
    try (MoodyMailServer server = new MoodyMailServer(setting.seed(), setting.delayMillis());
        KilledProcesses both =
            new KilledProcesses(2, settings(server), folder.resolve("processes.log"))) {
      processes = both;
      awaitTaken(server, 1);
      int databaseDownAt = setting.kills() / 2;
      for (int kill = 0; kill < setting.kills(); kill++) {
        awaitTaken(server, server.takenInAll() + 5 + random.nextInt(60));
        if (kill == databaseDownAt) {
          bringDatabaseDown();
        }
        processes.kill(random.nextInt(processes.count()));
      }
      awaitSettled();
      return outcome(server);
    }
  }

  private List<String> settings(MoodyMailServer server) {
    return List.of(
        "--spring.datasource.url=" + setting.database(),
        "--spring.datasource.username=jemble",
        "--spring.main.lazy-initialization=false",
        "--jemble.smtp.port=" + server.port(),
        "--jemble.smtp.connections=" + CONNECTIONS,
        "--jemble.outbox.poll-every=100ms",
        "--jemble.outbox.journal=" + folder.resolve("journals"),
        "--jemble.clock.speed=" + CLOCK_SPEED,
        "--jemble.clock.from=" + Instant.now(),
        // Ten minutes of the machine's time.
        "--jemble.outbox.lease=10h");
  }

  /** Waits until the server has had so many, or all are settled. */
  private void awaitTaken(MoodyMailServer server, int messages) throws SQLException {
    long end = System.nanoTime() + LIMIT.toNanos();
    while (server.takenInAll() < messages && count("state in ('waiting', 'deferred')") > 0) {
      pause(end);
    }
  }

  private void awaitSettled() throws SQLException {
    long end = System.nanoTime() + LIMIT.toNanos();
    while (count("state in ('waiting', 'deferred')") > 0) {
      pause(end);
    }
    // What the last killed process left behind is settled within a moment.
    while (count("in_hands_of is not null") > 0) {
      pause(end);
    }
  }

  private void pause(long end) {
    if (System.nanoTime() > end) {
      throw new AssertionError("not within " + LIMIT + "; logs in " + folder);
    }
    processes.restartThoseThatEnded();
    LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(50));
  }

  private void bringDatabaseDown() throws SQLException {
    long backend;
    try (Connection connection = connect();
        Statement statement = connection.createStatement();
        ResultSet row =
            statement.executeQuery(
                """
                select pid from pg_stat_activity
                where datname = current_database() and pid <> pg_backend_pid()
                limit 1
                """)) {
      row.next();
      backend = row.getLong(1);
    }
    ProcessHandle.of(backend).ifPresent(ProcessHandle::destroyForcibly);
  }

  private Connection connect() throws SQLException {
    return DriverManager.getConnection(setting.database(), "jemble", "");
  }

  /** How many messages are such; waits while the database is down. */
  private int count(String condition) throws SQLException {
    long end = System.nanoTime() + LIMIT.toNanos();
    while (true) {
      try (Connection connection = connect();
          Statement statement = connection.createStatement();
          ResultSet row =
              statement.executeQuery("select count(*) from message where " + condition)) {
        row.next();
        return row.getInt(1);
      } catch (SQLException away) {
        pause(end);
      }
    }
  }

  private Outcome outcome(MoodyMailServer server) throws SQLException {
    int messages = 0;
    int sent = 0;
    int refused = 0;
    int inDoubt = 0;
    int lost = 0;
    int twice = 0;
    int withoutCode = 0;
    try (Connection connection = connect();
        Statement statement = connection.createStatement();
        ResultSet row = statement.executeQuery("select address, state, reason from message")) {
      while (row.next()) {
        messages++;
        int taken = server.taken(row.getString(1));
        String state = row.getString(2);
        sent += state.equals("sent") ? 1 : 0;
        inDoubt += state.equals("in_doubt") ? 1 : 0;
        refused += state.equals("refused") ? 1 : 0;
        twice += taken > 1 ? 1 : 0;
        lost += state.equals("sent") && taken == 0 ? 1 : 0;
        boolean coded = server.refused(row.getString(1)) && row.getString(3).startsWith("550");
        withoutCode += state.equals("refused") && !coded ? 1 : 0;
      }
    }
    return new Outcome(
        messages,
        sent,
        refused,
        inDoubt,
        messages - sent - refused - inDoubt,
        lost,
        twice,
        withoutCode,
        setting.kills(),
        setting.kills() * CONNECTIONS + server.dropped());
  }
}
