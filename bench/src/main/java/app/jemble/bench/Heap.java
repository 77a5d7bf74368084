package app.jemble.bench;

import java.lang.management.ManagementFactory;
import java.lang.management.MemoryPoolMXBean;
import java.lang.management.MemoryType;

/**
 * How much the heap grows while something is done.
 *
 * @param before octets in use when it began
 */
record Heap(long before) {

  static Heap now() {
    System.gc();
    ManagementFactory.getMemoryPoolMXBeans().forEach(MemoryPoolMXBean::resetPeakUsage);
    return new Heap(ManagementFactory.getMemoryMXBean().getHeapMemoryUsage().getUsed());
  }

  /** The most that was on the heap since, with what could have been let go. */
  double peakMegabytes() {
    long peak =
        ManagementFactory.getMemoryPoolMXBeans().stream()
            .filter(p -> p.getType() == MemoryType.HEAP)
            .mapToLong(p -> p.getPeakUsage().getUsed())
            .sum();
    return Math.max(0, peak - before) / 1e6;
  }

  /** What stays on the heap when everything that can be let go is. */
  double keptMegabytes() {
    System.gc();
    long now = ManagementFactory.getMemoryMXBean().getHeapMemoryUsage().getUsed();
    return Math.max(0, now - before) / 1e6;
  }
}
