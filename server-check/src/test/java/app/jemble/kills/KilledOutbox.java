package app.jemble.kills;

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
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;

/** Two processes that empty an outbox of a phone's way, killed (SIGKILL) at random. */
final class KilledOutbox implements AutoCloseable {

  private static final Duration LIMIT = Duration.ofMinutes(5);

  /** What was put off for minutes is tried again within seconds. */
  private static final int CLOCK_SPEED = 20;

  /**
   * What became of the messages.
   *
   * @param lost sent, but nobody had it
   * @param twice had more than once
   */
  record Fates(int messages, int sent, int inDoubt, int lost, int twice) {

    int unsettled() {
      return messages - sent - inDoubt;
    }
  }

  interface Holds {
    boolean now();
  }

  private final String database;
  private final Random random;
  private final KilledProcesses processes;

  /**
   * @param carrier settings of what the messages leave by
   */
  KilledOutbox(String database, Random random, List<String> carrier) throws IOException {
    this.database = database;
    this.random = random;
    Path folder = Files.createTempDirectory("jemble-phone-kills");
    List<String> settings =
        new ArrayList<>(
            List.of(
                "--spring.datasource.url=" + database,
                "--spring.datasource.username=jemble",
                "--jemble.smtp.port=1",
                "--jemble.outbox.poll-every=100ms",
                "--jemble.outbox.journal=" + folder.resolve("journals"),
                "--jemble.clock.speed=" + CLOCK_SPEED,
                "--jemble.clock.from=" + Instant.now(),
                // Half an hour of the machine's time.
                "--jemble.outbox.lease=10h"));
    settings.addAll(carrier);
    this.processes = new KilledProcesses(2, settings, folder.resolve("processes.log"));
  }

  void killOne() {
    processes.kill(random.nextInt(processes.count()));
  }

  int waiting() {
    return count("message", "state in ('waiting', 'deferred')");
  }

  /** Until nothing waits, and what the last killed process left behind is settled. */
  void awaitSettled() {
    await(() -> waiting() == 0);
    await(() -> count("message", "in_hands_of is not null") == 0);
  }

  void await(Holds holds) {
    long end = System.nanoTime() + LIMIT.toNanos();
    while (!holds.now()) {
      if (System.nanoTime() > end) {
        throw new AssertionError("not within " + LIMIT);
      }
      processes.restartThoseThatEnded();
      LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(50));
    }
  }

  int count(String of, String condition) {
    try (Connection connection = DriverManager.getConnection(database, "jemble", "");
        Statement statement = connection.createStatement();
        ResultSet row =
            statement.executeQuery("select count(*) from " + of + " where " + condition)) {
      row.next();
      return row.getInt(1);
    } catch (SQLException e) {
      throw new IllegalStateException(e);
    }
  }

  /**
   * @param had how often each was had, by what {@code whose} says of it
   * @param whose an expression over a message
   */
  Fates fates(Map<String, Long> had, String whose) throws SQLException {
    int messages = 0;
    int sent = 0;
    int inDoubt = 0;
    int lost = 0;
    int twice = 0;
    try (Connection connection = DriverManager.getConnection(database, "jemble", "");
        Statement statement = connection.createStatement();
        ResultSet row = statement.executeQuery("select " + whose + ", state from message")) {
      while (row.next()) {
        messages++;
        long times = had.getOrDefault(row.getString(1), 0L);
        boolean isSent = row.getString(2).equals("sent");
        sent += isSent ? 1 : 0;
        inDoubt += row.getString(2).equals("in_doubt") ? 1 : 0;
        lost += isSent && times == 0 ? 1 : 0;
        twice += times > 1 ? 1 : 0;
      }
    }
    return new Fates(messages, sent, inDoubt, lost, twice);
  }

  @Override
  public void close() {
    processes.close();
  }
}
