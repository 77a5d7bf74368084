package app.jemble.check;

import app.jemble.pool.OnBehalf;
import java.util.ArrayDeque;
import java.util.Queue;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Future;
import java.util.function.Consumer;

/**
 * Work that several threads do at once while its results are taken one by one, in the order in
 * which the work was given. Used by one thread, which waits when too much has been given.
 */
final class InOrder<R> implements AutoCloseable {

  private static final int MOST_GIVEN = 8;

  private final ExecutorService threads;
  private final Consumer<R> taker;
  private final Queue<Future<R>> given = new ArrayDeque<>();

  InOrder(ExecutorService threads, Consumer<R> taker) {
    this.threads = threads;
    this.taker = taker;
  }

  void give(Callable<R> work) {
    if (given.size() == MOST_GIVEN) {
      take();
    }
    given.add(threads.submit(OnBehalf.carried(work)));
  }

  /** Waits for all that was given. */
  void finish() {
    while (!given.isEmpty()) {
      take();
    }
  }

  private void take() {
    try {
      taker.accept(given.remove().get());
    } catch (ExecutionException failed) {
      if (failed.getCause() instanceof RuntimeException known) {
        throw known;
      }
      throw new IllegalStateException(failed.getCause());
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException("stopped while others were still at work", e);
    }
  }

  /** What is still given when something went wrong is not waited for. */
  @Override
  public void close() {
    given.forEach(work -> work.cancel(true));
    given.clear();
  }
}
