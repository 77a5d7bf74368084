package app.jemble.core.response;

import java.util.EnumMap;
import java.util.Map;
import java.util.function.Predicate;

/**
 * How many sent messages stand where.
 *
 * @param messages by standing; what is not there is none
 */
public record StandingCounts(Map<Standing, Long> messages) {

  public StandingCounts {
    Map<Standing, Long> all = new EnumMap<>(Standing.class);
    all.putAll(messages);
    messages = all;
  }

  public long of(Standing standing) {
    return messages.getOrDefault(standing, 0L);
  }

  /** All of them. */
  public long sent() {
    return where(standing -> true);
  }

  /** What did not come back. */
  public long delivered() {
    return where(Standing::isDelivered);
  }

  /** What a person has read: opened it, followed a link, or replied. */
  public long read() {
    return where(Standing::wasRead);
  }

  public long quiet() {
    return where(Standing::isQuiet);
  }

  private long where(Predicate<Standing> which) {
    return messages.entrySet().stream()
        .filter(e -> which.test(e.getKey()))
        .mapToLong(Map.Entry::getValue)
        .sum();
  }
}
