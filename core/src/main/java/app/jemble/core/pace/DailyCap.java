package app.jemble.core.pace;

import app.jemble.core.reach.Channel;
import java.time.LocalDate;
import java.util.Map;

/**
 * At most so many messages a calendar day of the workspace's zone.
 *
 * @param name whose cap, as people say it: "Orla Finch", "the workspace", "the mail service"
 * @param way the one way whose messages it counts; null for all
 * @param most 0 or more
 * @param taken what other mailings hold of it, by day
 */
public record DailyCap(String name, Channel way, long most, Map<LocalDate, Long> taken) {
  public DailyCap {
    taken = Map.copyOf(taken);
    if (most < 0) {
      throw new IllegalArgumentException("A cap is no less than nothing.");
    }
  }

  /** One that counts what goes any way. */
  public DailyCap(String name, long most, Map<LocalDate, Long> taken) {
    this(name, null, most, taken);
  }

  /** Whether what goes a way counts. */
  boolean binds(Channel by) {
    return way == null || way == by;
  }

  /** How many more messages fit into a day. */
  long remaining(LocalDate day) {
    return Math.max(0, most - taken.getOrDefault(day, 0L));
  }
}
