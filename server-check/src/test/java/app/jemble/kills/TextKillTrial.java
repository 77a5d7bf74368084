package app.jemble.kills;

import app.jemble.TextHouse;
import app.jemble.standins.text.Fault;
import app.jemble.standins.text.MessageCentre;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.Collectors;

/** Two processes empty an outbox of texts, killed (SIGKILL) at random, through a moody centre. */
final class TextKillTrial implements AutoCloseable {

  /** So that there is something left to kill. */
  private static final int PARTS_A_SECOND = 60;

  private static final Duration LIMIT = Duration.ofMinutes(5);

  /** One in so many submits is dropped before it is taken, one after, one asked to slow down. */
  private static final int MOODS = 120;

  private static final int ANSWERS_ONE_IN = 10;

  /**
   * What came of it.
   *
   * @param lost sent, but on no phone
   * @param twice on a phone more than once
   * @param dropped how often the centre broke off
   * @param answers what phones wrote, and {@code answered} what of it is on record
   * @param receipts of parts whose message is known, and {@code receiptsPlaced} those placed there
   */
  record Outcome(
      int messages,
      int sent,
      int inDoubt,
      int unsettled,
      int lost,
      int twice,
      int dropped,
      int answers,
      int answered,
      int receipts,
      int receiptsPlaced) {}

  private final String database;
  private final MessageCentre centre;
  private final Random random;
  private final KilledProcesses processes;
  private final AtomicInteger dropped = new AtomicInteger();
  private final Set<String> writers = ConcurrentHashMap.newKeySet();
  private final ScheduledExecutorService phones = Executors.newSingleThreadScheduledExecutor();

  TextKillTrial(String database, MessageCentre centre, Random random) throws IOException {
    this.database = database;
    this.centre = centre;
    this.random = random;
    centre.fails(this::mood);
    centre.tells(this::rings);
    Path folder = Files.createTempDirectory("jemble-text-kills");
    List<String> settings =
        new ArrayList<>(
            List.of(
                "--spring.datasource.url=" + database,
                "--spring.datasource.username=jemble",
                "--jemble.smtp.port=1",
                "--jemble.outbox.poll-every=100ms",
                "--jemble.outbox.journal=" + folder.resolve("journals"),
                "--jemble.outbox.lease=10h"));
    settings.addAll(TextHouse.through(centre.port(), PARTS_A_SECOND));
    this.processes = new KilledProcesses(2, settings, folder.resolve("processes.log"));
  }

  private Fault mood(int submit) {
    Fault fault =
        switch (submit % MOODS) {
          case 40 -> Fault.DROPS_BEFORE;
          case 80 -> Fault.DROPS_AFTER;
          case 20, 60 -> Fault.THROTTLES;
          default -> Fault.NONE;
        };
    if (fault == Fault.DROPS_BEFORE || fault == Fault.DROPS_AFTER) {
      dropped.incrementAndGet();
    }
    return fault;
  }

  /** A phone has a text: its receipt goes out, and now and then its reader writes. */
  private void rings(MessageCentre.Text text, List<String> parts) {
    later(() -> centre.receipts(text.to(), true));
    if (Math.floorMod(text.to().hashCode(), ANSWERS_ONE_IN) == 0 && writers.add(text.to())) {
      later(
          () ->
              centre.writes(text.to(), TextHouse.NUMBER.substring(1), List.of("Yes, ", "please")));
    }
  }

  /** Until one of the processes takes it. */
  private void later(Runnable step) {
    phones.schedule(
        () -> {
          try {
            step.run();
          } catch (IllegalStateException nobody) {
            later(step);
          }
        },
        300,
        TimeUnit.MILLISECONDS);
  }

  Outcome run(int kills) throws SQLException {
    for (int kill = 0; kill < kills; kill++) {
      int wanted = centre.arrived().size() + 60 + random.nextInt(60);
      await(() -> centre.arrived().size() >= wanted || waiting() == 0);
      processes.kill(random.nextInt(processes.count()));
    }
    await(() -> waiting() == 0);
    await(() -> count("message", "in_hands_of is not null") == 0);
    await(() -> count("text_arrival", "taken_at is null") == 0 && answered() >= writers.size());
    await(() -> count("text_receipt r", UNPLACED) == 0);
    return outcome();
  }

  private static final String UNPLACED =
      "placed_at is null and exists (select from handed_over h where h.reference = r.reference)";

  private int waiting() {
    return count("message", "state in ('waiting', 'deferred')");
  }

  private int answered() {
    return count("response", "kind = 'REPLIED'");
  }

  private interface Holds {
    boolean now();
  }

  private void await(Holds holds) {
    long end = System.nanoTime() + LIMIT.toNanos();
    while (!holds.now()) {
      if (System.nanoTime() > end) {
        throw new AssertionError("not within " + LIMIT);
      }
      processes.restartThoseThatEnded();
      LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(50));
    }
  }

  private int count(String of, String condition) {
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

  private Outcome outcome() throws SQLException {
    Map<String, Long> had =
        centre.arrived().stream()
            .collect(Collectors.groupingBy(MessageCentre.Text::to, Collectors.counting()));
    int messages = 0;
    int sent = 0;
    int inDoubt = 0;
    int lost = 0;
    int twice = 0;
    try (Connection connection = DriverManager.getConnection(database, "jemble", "");
        Statement statement = connection.createStatement();
        ResultSet row = statement.executeQuery("select address, state from message")) {
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
    return new Outcome(
        messages,
        sent,
        inDoubt,
        messages - sent - inDoubt,
        lost,
        twice,
        dropped.get(),
        writers.size(),
        answered(),
        count(
            "text_receipt r", "exists (select from handed_over h where h.reference = r.reference)"),
        count("text_receipt", "message_id is not null"));
  }

  @Override
  public void close() {
    phones.shutdownNow();
    processes.close();
  }
}
