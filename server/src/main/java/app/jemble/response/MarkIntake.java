package app.jemble.response;

import app.jemble.response.ResponseService.Fetched;
import jakarta.annotation.PreDestroy;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.LinkedBlockingQueue;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Takes fetches of open marks and notes those that have come in meanwhile in one transaction.
 * Whoever fetches is answered once it is kept; until then no thread of the web server waits, so
 * that a mailing that thousands open at once does not slow anybody's page.
 */
@Component
class MarkIntake {

  private static final Logger LOG = LoggerFactory.getLogger(MarkIntake.class);
  private static final int MOST = 500;

  private record Waiting(Fetched fetch, CompletableFuture<Void> noted) {}

  private final ResponseService responses;
  private final BlockingQueue<Waiting> waiting = new LinkedBlockingQueue<>();
  private final Thread thread = new Thread(this::noteAll, "marks");
  private volatile boolean stopping;

  MarkIntake(ResponseService responses) {
    this.responses = responses;
    thread.setDaemon(true);
    thread.start();
  }

  /** Done when it is kept; fails when it could not be. */
  CompletableFuture<Void> opened(String token, String agent, String address) {
    CompletableFuture<Void> noted = new CompletableFuture<>();
    waiting.add(new Waiting(new Fetched(token, agent, address), noted));
    return noted;
  }

  private void noteAll() {
    List<Waiting> some = new ArrayList<>(MOST);
    while (!stopping || !waiting.isEmpty()) {
      some.clear();
      try {
        some.add(waiting.take());
      } catch (InterruptedException stop) {
        continue;
      }
      waiting.drainTo(some, MOST - 1);
      note(some);
    }
  }

  private void note(List<Waiting> some) {
    try {
      responses.opened(some.stream().map(Waiting::fetch).toList());
      some.forEach(w -> w.noted().complete(null));
    } catch (RuntimeException away) {
      LOG.error("{} opens could not be noted.", some.size(), away);
      some.forEach(w -> w.noted().completeExceptionally(away));
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
