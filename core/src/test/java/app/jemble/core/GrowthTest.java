package app.jemble.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.Test;

/**
 * A reader of text takes no longer than the text is long: a hundred thousand characters of its
 * worst shapes are read in a moment. Squares and worse would take minutes; the figures stand in
 * docs/figures.md ({@code ./jemble bench growth}).
 */
public class GrowthTest {

  private static final int CHARACTERS = 100_000;

  /** Far more than any of them takes on one slow core, far less than a square would. */
  private static final long MOST_MILLIS = 2_500;

  @Test(timeOut = 300_000)
  public void noReaderTakesLongerThanItsTextIsLong() {
    ThreadMXBean threads = ManagementFactory.getThreadMXBean();
    List<String> slow = new ArrayList<>();
    for (WorstShapes.Shape shape : WorstShapes.all()) {
      // The time of this thread alone: what else the machine does is not the reader's.
      long begun = threads.getCurrentThreadCpuTime();
      shape.read(CHARACTERS);
      long millis = (threads.getCurrentThreadCpuTime() - begun) / 1_000_000;
      if (millis > MOST_MILLIS) {
        slow.add(shape + " " + millis + " ms");
      }
    }
    assertThat(slow).isEmpty();
  }
}
