package app.jemble.outbox;

import app.jemble.carrier.Carrier;
import app.jemble.carrier.Lines;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.function.BiFunction;

/**
 * The workers of one carrier, and the lines they take turns with. Where the house's setting of the
 * carrier changes, they end as they do when the house stops, and others begin.
 */
final class OutboxCrew {

  private static final Duration PATIENCE = Duration.ofSeconds(20);

  private final Carrier carrier;

  /** By the setting they begin with, and their lines. */
  private final BiFunction<Object, Lines, OutboxWorker.Tools> tools;

  private final List<Thread> threads = new ArrayList<>();
  private CountDownLatch stopping = new CountDownLatch(1);
  private Object setting;
  private Lines lines;

  OutboxCrew(Carrier carrier, BiFunction<Object, Lines, OutboxWorker.Tools> tools) {
    this.carrier = carrier;
    this.tools = tools;
  }

  synchronized void start() {
    setting = carrier.setting();
    stopping = new CountDownLatch(1);
    lines = carrier.lines();
    OutboxWorker.Tools work = tools.apply(setting, lines);
    CountDownLatch end = stopping;
    String name = "outbox-" + carrier.channel().name().toLowerCase(Locale.ROOT) + "-";
    for (int i = 0; i < carrier.workersALine() * carrier.lineCount(); i++) {
      Thread thread = new Thread(() -> work(work, end), name + i);
      threads.add(thread);
      thread.start();
    }
  }

  /** Begins anew where the carrier is reached otherwise than before. */
  synchronized void keepToSetting() throws InterruptedException {
    boolean isStopped = stopping.getCount() == 0;
    if (!isStopped && !carrier.setting().equals(setting)) {
      askToStop();
      end();
      start();
    }
  }

  void askToStop() {
    stopping.countDown();
  }

  /** Waits until all have ended, and closes their lines. */
  synchronized void end() throws InterruptedException {
    for (Thread thread : threads) {
      thread.join(PATIENCE.toMillis());
    }
    threads.clear();
    if (lines != null) {
      lines.close();
    }
  }

  private static void work(OutboxWorker.Tools tools, CountDownLatch end) {
    try (OutboxWorker worker = new OutboxWorker(tools, () -> end.getCount() == 0)) {
      boolean goingOn = true;
      while (goingOn) {
        goingOn = !pauses(end, worker.turn());
      }
    }
  }

  /** Waits; true when it is time to stop. */
  static boolean pauses(CountDownLatch end, Duration wait) {
    try {
      return end.await(wait.toMillis(), TimeUnit.MILLISECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return true;
    }
  }
}
