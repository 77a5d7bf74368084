package app.jemble.kills;

import app.jemble.TextHouse;
import app.jemble.standins.text.Fault;
import app.jemble.standins.text.MessageCentre;
import java.io.IOException;
import java.sql.SQLException;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Collectors;

/** Two processes empty an outbox of texts, killed (SIGKILL) at random, through a moody centre. */
final class TextKillTrial implements AutoCloseable {

  /** So that there is something left to kill. */
  private static final int PARTS_A_SECOND = 60;

  /** One in so many submits is dropped before it is taken, one after, one asked to slow down. */
  private static final int MOODS = 120;

  private static final int ANSWERS_ONE_IN = 10;
  private static final long SOON = 300;

  /** The centre had not heard that they were taken; hours by the clock of the processes. */
  private static final long AGAIN = 20_000;

  /**
   * What came of it.
   *
   * @param dropped how often the centre broke off
   * @param answers what phones wrote, and {@code answered} what of it is on record
   * @param receipts of parts whose message is known, and {@code receiptsPlaced} those placed there
   */
  record Outcome(
      KilledOutbox.Fates fates,
      int dropped,
      int answers,
      int answered,
      int receipts,
      int receiptsPlaced) {}

  private final MessageCentre centre;
  private final Random random;
  private final KilledOutbox outbox;
  private final AtomicInteger dropped = new AtomicInteger();
  private final Set<String> writers = ConcurrentHashMap.newKeySet();

  /** What phones and the centre have not told the house yet. */
  private final AtomicInteger unsaid = new AtomicInteger();

  private final ScheduledExecutorService phones = Executors.newSingleThreadScheduledExecutor();

  TextKillTrial(String database, MessageCentre centre, Random random) throws IOException {
    this.centre = centre;
    this.random = random;
    centre.fails(this::mood);
    centre.tells(this::rings);
    this.outbox =
        new KilledOutbox(database, random, TextHouse.through(centre.port(), PARTS_A_SECOND));
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
    later(() -> centre.receipts(text.to(), true), SOON);
    if (Math.floorMod(text.to().hashCode(), ANSWERS_ONE_IN) == 0 && writers.add(text.to())) {
      later(() -> writes(text.to()), SOON);
      later(() -> writes(text.to()), AGAIN);
    }
  }

  private void writes(String number) {
    centre.writes(number, TextHouse.NUMBER.substring(1), List.of("Yes, ", "please"));
  }

  /** Until one of the processes takes it. */
  private void later(Runnable step, long millis) {
    unsaid.incrementAndGet();
    phones.schedule(
        () -> {
          try {
            step.run();
          } catch (IllegalStateException nobody) {
            later(step, SOON);
          }
          unsaid.decrementAndGet();
        },
        millis,
        TimeUnit.MILLISECONDS);
  }

  Outcome run(int kills) throws SQLException {
    for (int kill = 0; kill < kills; kill++) {
      int wanted = centre.arrived().size() + 60 + random.nextInt(60);
      outbox.await(() -> centre.arrived().size() >= wanted || outbox.waiting() == 0);
      outbox.killOne();
    }
    outbox.awaitSettled();
    outbox.await(() -> unsaid.get() == 0);
    outbox.await(
        () ->
            outbox.count("text_arrival", "taken_at is null") == 0 && answered() >= writers.size());
    outbox.await(() -> outbox.count("text_receipt r", UNPLACED) == 0);
    return outcome();
  }

  private static final String KNOWN =
      "exists (select from handed_over h where h.reference = r.reference)";
  private static final String UNPLACED = "placed_at is null and " + KNOWN;

  /** How what was written came in, to be told when it went wrong. */
  String arrivals() {
    return outbox.count("text_arrival", "true")
        + " parts of "
        + outbox.count("(select distinct sender from text_arrival) one", "true")
        + " numbers, taken in as "
        + outbox.count("inbound_mail", "identity like 'text:%'")
        + " texts";
  }

  private int answered() {
    return outbox.count("response", "kind = 'REPLIED'");
  }

  private Outcome outcome() throws SQLException {
    Map<String, Long> had =
        centre.arrived().stream()
            .collect(Collectors.groupingBy(MessageCentre.Text::to, Collectors.counting()));
    return new Outcome(
        outbox.fates(had, "address"),
        dropped.get(),
        writers.size(),
        answered(),
        outbox.count("text_receipt r", KNOWN),
        outbox.count("text_receipt", "message_id is not null"));
  }

  @Override
  public void close() {
    phones.shutdownNow();
    outbox.close();
  }
}
