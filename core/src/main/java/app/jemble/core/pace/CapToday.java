package app.jemble.core.pace;

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
 * @param whose as people say it: "Orla Finch", "the workspace", "the mail service"
 * @param most messages a day, 0 or more
 */
public record CapToday(long id, long account, String whose, long most) {

  /** Whether a message of this sender counts. */
  public boolean binds(long sender) {
    return account == 0 || account == sender;
  }

  /** Why a message does not leave today. */
  public String words() {
    return String.format(Locale.ENGLISH, "over the daily cap of %s (%,d)", whose, most);
  }

  /**
   * Which of some messages are over a cap if all before them that are not leave; by place, the cap.
   *
   * @param senders of the messages, in the order in which they leave
   * @param used how many count already, by cap
   */
  public static Map<Integer, CapToday> over(List<Long> senders, Map<CapToday, Long> used) {
    Map<CapToday, Long> counts = new HashMap<>(used);
    Map<Integer, CapToday> over = new LinkedHashMap<>();
    for (int i = 0; i < senders.size(); i++) {
      long sender = senders.get(i);
      List<CapToday> binding = used.keySet().stream().filter(c -> c.binds(sender)).toList();
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
