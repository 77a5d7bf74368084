package app.jemble.core.pace;

import app.jemble.core.reach.Channel;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * A cap as it stands on one day, for messages that are about to leave.
 *
 * @param account whose, or 0 for that of all
 * @param way the one way whose messages it counts; null for all
 * @param whose as people say it: "Orla Finch", "the workspace", "the mail service"
 * @param most messages a day, 0 or more
 */
public record CapToday(long id, long account, Channel way, String whose, long most) {

  /** A message as caps see it. */
  public record Leaving(long sender, Channel way) {}

  /** Whether a message counts. */
  public boolean binds(Leaving message) {
    return (account == 0 || account == message.sender()) && (way == null || way == message.way());
  }

  /** Why a message does not leave today. */
  public String words() {
    return String.format(Locale.ENGLISH, "over the daily cap of %s (%,d)", whose, most);
  }

  /**
   * Which of some messages are over a cap if all before them that are not leave; by place, the cap.
   *
   * @param messages in the order in which they leave
   * @param used how many count already, by cap
   */
  public static Map<Integer, CapToday> over(List<Leaving> messages, Map<CapToday, Long> used) {
    Map<CapToday, Long> counts = new HashMap<>(used);
    Map<Integer, CapToday> over = new LinkedHashMap<>();
    for (int i = 0; i < messages.size(); i++) {
      Leaving message = messages.get(i);
      List<CapToday> binding = used.keySet().stream().filter(c -> c.binds(message)).toList();
      Optional<CapToday> full = binding.stream().filter(c -> counts.get(c) >= c.most()).findFirst();
      if (full.isPresent()) {
        over.put(i, full.get());
      } else {
        binding.forEach(c -> counts.merge(c, 1L, Long::sum));
      }
    }
    return over;
  }
}
