package app.jemble.series.entry;

import app.jemble.account.AccountService;
import app.jemble.core.access.Right;
import app.jemble.core.record.PersonId;
import app.jemble.core.series.EntryLook;
import app.jemble.core.series.SeriesClock;
import app.jemble.core.series.SeriesState;
import app.jemble.core.series.Steps;
import app.jemble.series.OpenSeries;
import app.jemble.series.Series;
import app.jemble.series.SeriesClocks;
import app.jemble.series.SeriesStep;
import app.jemble.series.entry.EntryMapper.Entry;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Takes people on through a series: a lot of those who are to be looked at is locked, and what
 * becomes of each is kept with the messages that it puts in the outbox in one transaction. So there
 * is at most one message an entry and step, whatever is killed and however many processes run.
 */
@Service
public class SeriesRun {

  private static final int LOT = 1000;

  /** At one series at once. */
  private static final int HANDS = Runtime.getRuntime().availableProcessors();

  private final OpenSeries open;
  private final EntryMapper entries;
  private final SeriesClocks clocks;
  private final EntryFacts facts;
  private final StepWriter writer;
  private final AccountService accounts;
  private final TransactionTemplate transaction;
  private final Clock clock;
  private final ExecutorService hands =
      Executors.newFixedThreadPool(HANDS, work -> new Thread(work, "series-hand"));

  SeriesRun(
      OpenSeries open,
      EntryMapper entries,
      SeriesClocks clocks,
      EntryFacts facts,
      StepWriter writer,
      AccountService accounts,
      TransactionTemplate transaction,
      Clock clock) {
    this.open = open;
    this.entries = entries;
    this.clocks = clocks;
    this.facts = facts;
    this.writer = writer;
    this.accounts = accounts;
    this.transaction = transaction;
    this.clock = clock;
  }

  /** Active series in which somebody is to be looked at. */
  public List<Long> toLookAt() {
    return entries.toLookAt(clock.instant());
  }

  /** Looks at everyone of a series who is to be looked at now; more than a lot with all hands. */
  public void lookAt(long seriesId) {
    if (mayBeMore(seriesId)) {
      CompletableFuture.allOf(
              Stream.generate(() -> CompletableFuture.runAsync(() -> lots(seriesId), hands))
                  .limit(HANDS)
                  .toArray(CompletableFuture<?>[]::new))
          .join();
    }
  }

  private void lots(long seriesId) {
    boolean more = true;
    while (more && !Thread.currentThread().isInterrupted()) {
      more = mayBeMore(seriesId);
    }
  }

  private boolean mayBeMore(long seriesId) {
    return Boolean.TRUE.equals(transaction.execute(tx -> lot(seriesId)));
  }

  /** Whether there may be more. */
  private boolean lot(long seriesId) {
    Series series = open.held(seriesId);
    if (!sends(series)) {
      return false;
    }
    Instant now = clock.instant();
    List<Entry> lot = entries.claim(seriesId, now, LOT);
    if (lot.isEmpty()) {
      return false;
    }
    Map<Long, SeriesStep> steps = new LinkedHashMap<>();
    open.steps(seriesId).forEach(step -> steps.put(step.id(), step));
    sort(series, steps, facts.of(series, lot), now);
    return lot.size() == LOT;
  }

  private boolean sends(Series series) {
    return series != null
        && series.state() == SeriesState.ACTIVE
        && accounts.find(series.senderId()).may(Right.SERIES);
  }

  /** Does what is next for each, and what is due by its step. */
  private void sort(
      Series series, Map<Long, SeriesStep> steps, Map<Entry, EntryLook.Entry> looked, Instant now) {
    Steps inOrder = SeriesStep.inOrder(List.copyOf(steps.values()));
    SeriesClock times = clocks.of(series);
    Map<Entry, Instant> later = new LinkedHashMap<>();
    Map<Entry, String> over = new LinkedHashMap<>();
    Map<Long, List<Entry>> due = new LinkedHashMap<>();
    looked.forEach(
        (entry, facts) -> {
          EntryLook.Next next = EntryLook.at(now, facts, inOrder, series.ending(), times);
          if (next instanceof EntryLook.Due is) {
            due.computeIfAbsent(is.step().id(), id -> new ArrayList<>()).add(entry);
          } else if (next instanceof EntryLook.Later is) {
            later.put(entry, is.at());
          } else if (next instanceof EntryLook.Over is) {
            over.put(entry, is.why());
          }
        });
    lookAgain(later);
    writer.end(over, now);
    due.forEach(
        (step, whom) -> {
          writer.write(
              series, steps.get(step), whom, known(looked, inOrder, step, times, now), now);
          if (inOrder.after(step).isEmpty()) {
            writer.finish(whom, now);
          }
        });
  }

  private static StepWriter.Known known(
      Map<Entry, EntryLook.Entry> looked, Steps steps, long step, SeriesClock times, Instant now) {
    Optional<Steps.Step> next = steps.after(step);
    return new StepWriter.Known(
        entry -> looked.get(entry).came(),
        entry ->
            next.map(n -> EntryLook.again(now, n, looked.get(entry).zone(), times)).orElse(now));
  }

  private void lookAgain(Map<Entry, Instant> later) {
    if (!later.isEmpty()) {
      Long[] ids = later.keySet().stream().map(Entry::id).toArray(Long[]::new);
      Long[] seconds =
          later.values().stream()
              .map(at -> at.getEpochSecond() + (at.getNano() > 0 ? 1 : 0))
              .toArray(Long[]::new);
      entries.lookAgain(ids, seconds);
    }
  }

  /**
   * Sends somebody the step that is next for them, without waiting for it.
   *
   * @return why not; empty when it is in the outbox
   */
  public Optional<String> sendNow(long seriesId, PersonId person, long stepId) {
    return transaction.execute(
        tx -> {
          Series series = open.held(seriesId);
          if (!sends(series)) {
            return Optional.of(
                "Only an active series sends anything, and only while its sender may.");
          }
          Entry entry = entries.lockOf(seriesId, person);
          if (entry == null) {
            return Optional.of("They are not in this series.");
          }
          List<SeriesStep> steps = open.steps(seriesId);
          Steps inOrder = SeriesStep.inOrder(steps);
          EntryLook.Entry of = facts.of(series, List.of(entry)).get(entry);
          Optional<String> not = EntryLook.notNow(of, inOrder, stepId, series.ending());
          if (not.isEmpty()) {
            send(series, steps, inOrder, entry, of, stepId);
          }
          return not;
        });
  }

  private void send(
      Series series,
      List<SeriesStep> steps,
      Steps inOrder,
      Entry entry,
      EntryLook.Entry of,
      long stepId) {
    Instant now = clock.instant();
    SeriesStep step = steps.stream().filter(s -> s.id() == stepId).findFirst().orElseThrow();
    StepWriter.Known known = known(Map.of(entry, of), inOrder, stepId, clocks.of(series), now);
    writer.write(series, step, List.of(entry), known, now);
    if (inOrder.after(stepId).isEmpty()) {
      writer.finish(List.of(entry), now);
    }
  }

  @PreDestroy
  void stop() {
    hands.shutdownNow();
  }
}
