package app.jemble.filter;

import app.jemble.core.filter.AsOf;
import app.jemble.pool.OnBehalf;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletionService;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorCompletionService;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.springframework.stereotype.Component;

/**
 * Counts people slice by slice of their ids, where the whole would take seconds: what was counted
 * so far can be shown, and the counting ends when nobody listens any more. The sum of the slices is
 * the exact count.
 */
@Component
public class SlicedTally {

  private static final long SLICE = 50_000;
  private static final int AT_ONCE = 2;

  /**
   * What was counted so far.
   *
   * @param looked how many people have been looked at, or may have been: ids have gaps
   * @param of how many there are to look at
   * @param parts people by reach
   */
  public record Progress(long looked, long of, Map<String, Long> parts) {
    public boolean isDone() {
      return looked == of;
    }
  }

  /** Told of each slice; throws to end the counting. */
  public interface Listener {
    void counted(Progress progress) throws IOException;
  }

  private final ListService lists;
  private final ExecutorService threads = Executors.newFixedThreadPool(AT_ONCE);

  SlicedTally(ListService lists) {
    this.lists = lists;
  }

  @PreDestroy
  void stop() {
    threads.shutdownNow();
  }

  /** Counts in one go where an index helps or people are few, else slice by slice. */
  public void count(FilterBody filter, ListService.Which which, AsOf asOf, Listener listener)
      throws IOException {
    ListQuery query = lists.query(null, filter, which, asOf);
    long last = lists.lastPerson();
    if (!query.filter().readsEverything() || last <= 2 * SLICE) {
      listener.counted(new Progress(last, last, lists.parts(query)));
      return;
    }
    slices(query, last, listener);
  }

  private void slices(ListQuery query, long last, Listener listener) throws IOException {
    CompletionService<Map<String, Long>> done = new ExecutorCompletionService<>(threads);
    Map<String, Long> sum = new LinkedHashMap<>();
    long begun = 0;
    long ended = 0;
    try {
      while (ended <= last) {
        while (begun <= last && begun - ended < AT_ONCE * SLICE) {
          ListQuery slice = query.slice(begun, begun + SLICE);
          done.submit(OnBehalf.carried((Callable<Map<String, Long>>) () -> lists.parts(slice)));
          begun += SLICE;
        }
        Future<Map<String, Long>> counted = done.take();
        counted.get().forEach((part, people) -> sum.merge(part, people, Long::sum));
        ended += SLICE;
        listener.counted(new Progress(Math.min(ended, last), last, Map.copyOf(sum)));
      }
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
    } catch (ExecutionException failed) {
      throw new IllegalStateException("a slice could not be counted", failed.getCause());
    }
  }
}
