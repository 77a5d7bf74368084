package app.jemble.carrier;

import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;

/** Lines that nobody has at present; workers take turns with them. */
public final class FreeLines {

  private final BlockingQueue<Line> free;

  /**
   * @param line does the work of each
   */
  public FreeLines(int count, Line line) {
    this.free = new ArrayBlockingQueue<>(count);
    for (int i = 0; i < count; i++) {
      free.add((parcel, next, begin) -> line.send(parcel, next, begin));
    }
  }

  /** Waits for one. */
  public Line take() {
    try {
      return free.take();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException("stopped while waiting for a free line", e);
    }
  }

  public void putBack(Line line) {
    free.add(line);
  }
}
