package app.jemble.standins.text;

import java.time.Duration;
import java.util.List;
import java.util.Random;
import java.util.concurrent.ScheduledThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Everyone whose phone gets texts, and what they do with them. Seeded by number and words: the same
 * phone is the same person's.
 */
public final class PretendPhones implements AutoCloseable {

  private static final Logger LOG = LoggerFactory.getLogger(PretendPhones.class);

  private static final List<String> ANSWERS =
      List.of(
          "Yes please!",
          "Thanks, see you there",
          "Can I bring a friend?",
          "Sorry, we’re away that week",
          "What does it cost?",
          "Who is this?");

  private final MessageCentre centre;
  private final Duration day;
  private final long seed;
  private final ScheduledThreadPoolExecutor clock = new ScheduledThreadPoolExecutor(1);

  public PretendPhones(MessageCentre centre, Duration day, long seed) {
    this.centre = centre;
    this.day = day;
    this.seed = seed;
    clock.setExecuteExistingDelayedTasksAfterShutdownPolicy(false);
  }

  /** From now on they get what arrives. */
  public void listen() {
    centre.tells(this::rings);
  }

  private void rings(MessageCentre.Text text, List<String> parts) {
    Random person = new Random(seed * 31 + text.to().hashCode());
    int kind = person.nextInt(100);
    Random mood = new Random(seed * 37 + text.to().hashCode() * 41L + text.words().hashCode());
    if (kind == 0) {
      // Nobody has this number any more.
      receipts(text, parts, "UNDELIV", Duration.ofSeconds(3));
      return;
    }
    // Switched off for a while, or on at once; the parts are reported in any order.
    Duration on = kind < 6 ? share(0.2) : Duration.ofMillis(500 + mood.nextInt(4000));
    receipts(text, parts, kind == 6 ? "EXPIRED" : "DELIVRD", on);
    Duration reads = on.plusSeconds(7).plus(share(mood.nextDouble() * 0.2));
    int answers = kind == 6 ? 100 : mood.nextInt(100);
    if (answers < 2) {
      writes(text, "Stop", reads);
    } else if (answers < 22) {
      writes(text, ANSWERS.get(mood.nextInt(ANSWERS.size())), reads);
    }
  }

  private void receipts(MessageCentre.Text text, List<String> parts, String stat, Duration in) {
    for (int i = 0; i < parts.size(); i++) {
      String part = parts.get(parts.size() - 1 - i);
      later(in.plusMillis(i * 200L), () -> centre.receipt(part, text.to(), text.from(), stat));
    }
  }

  private void writes(MessageCentre.Text text, String words, Duration in) {
    String house = text.from().startsWith("+") ? text.from().substring(1) : text.from();
    later(in, () -> centre.writes(text.to(), house, List.of(words)));
  }

  private Duration share(double ofADay) {
    return Duration.ofMillis((long) (day.toMillis() * ofADay));
  }

  private void later(Duration wait, Runnable step) {
    clock.schedule(
        () -> {
          try {
            step.run();
          } catch (IllegalStateException nobody) {
            LOG.info("Nobody of the house takes what a phone says.");
          } catch (RuntimeException e) {
            LOG.error("A phone fell over.", e);
          }
        },
        wait.toMillis(),
        TimeUnit.MILLISECONDS);
  }

  @Override
  public void close() {
    clock.shutdownNow();
  }
}
