package app.jemble.mark;

import app.jemble.pool.OnBehalf;
import app.jemble.response.ResponseService;
import app.jemble.response.ResponseService.Fetched;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Takes fetches of open marks and notes those that have come in meanwhile in one transaction.
 * Whoever fetches is answered once it is kept; until then no thread of the web server waits, so
 * that a mailing that thousands open at once does not slow anybody's page.
 */
@Component
class MarkIntake {

  private static final Logger LOG = LoggerFactory.getLogger(MarkIntake.class);
  static final int MOST = 500;

  /** How long to wait between two attempts to note what was journalled, in seconds. */
  private static final int AGAIN = 5;

  private record Waiting(Fetched fetch, CompletableFuture<Void> noted) {}

  private final ResponseService responses;
  private final MarkJournal journal;
  private final Clock clock;
  private final BlockingQueue<Waiting> waiting = new LinkedBlockingQueue<>();
  private final Thread thread = new Thread(this::noteAll, "marks");
  private volatile boolean ready;
  private volatile boolean stopping;

  MarkIntake(ResponseService responses, MarkJournal journal, Clock clock) {
    this.responses = responses;
    this.journal = journal;
    this.clock = clock;
    thread.setDaemon(true);
    thread.start();
  }

  /** What an earlier process journalled is noted when the house is there. */
  @EventListener(ApplicationReadyEvent.class)
  void begin() {
    ready = true;
  }

  /** Done when it is kept; fails when it could not be. */
  CompletableFuture<Void> opened(String token, String agent, String address) {
    CompletableFuture<Void> noted = new CompletableFuture<>();
    waiting.add(new Waiting(new Fetched(token, agent, address, clock.instant()), noted));
    return noted;
  }

  private void noteAll() {
    OnBehalf.ofReaders();
    List<Waiting> some = new ArrayList<>(MOST);
    while (!stopping || !waiting.isEmpty()) {
      some.clear();
      try {
        Waiting first = waiting.poll(AGAIN, TimeUnit.SECONDS);
        if (first != null) {
          some.add(first);
        }
      } catch (InterruptedException stop) {
        continue;
      }
      waiting.drainTo(some, MOST - 1);
      if (!some.isEmpty()) {
        note(some);
      } else if (ready && journal.holdsAny()) {
        noteJournalled();
      }
    }
  }

  private void note(List<Waiting> some) {
    List<Fetched> fetches = some.stream().map(Waiting::fetch).toList();
    try {
      responses.opened(fetches);
      some.forEach(w -> w.noted().complete(null));
    } catch (RuntimeException away) {
      if (journal.write(fetches)) {
        LOG.warn("{} opens were journalled: {}", some.size(), away.getMessage());
        some.forEach(w -> w.noted().complete(null));
      } else {
        LOG.error("{} opens could not be noted.", some.size(), away);
        some.forEach(w -> w.noted().completeExceptionally(away));
      }
    }
  }

  private void noteJournalled() {
    try {
      journal.replay(responses::opened);
    } catch (RuntimeException stillAway) {
      LOG.debug("Opens stay in the journal.", stillAway);
    }
  }

  /** What has come in is still noted. */
  @PreDestroy
  void stop() throws InterruptedException {
    stopping = true;
    thread.interrupt();
    thread.join(5000);
  }
}
