package app.jemble.core.response;

import java.time.Duration;
import java.util.List;
import java.util.Locale;

/**
 * By what signs a fetch of the open mark, or of a link, is taken for software's (common practice).
 *
 * @param tooSoon fetches up to this long after the hand-over: sooner than anyone opens a message.
 *     Scanners look into a message, and follow all its links, while it is being delivered
 * @param burst who follows all links of a message, three or more, within so long is a scanner that
 *     came later: a reader follows the one that they want
 * @param agents words with which names end in the User-Agent of robots, scanners, prefetchers,
 *     browsers without a screen and programming libraries; lower case
 * @param ranges from where mail services are known to fetch, whatever they call themselves
 */
public record FetchRules(
    Duration tooSoon, Duration burst, List<String> agents, List<AddressRange> ranges) {

  public FetchRules {
    agents = agents.stream().map(a -> a.toLowerCase(Locale.ROOT)).toList();
    ranges = List.copyOf(ranges);
  }

  /** Whether an agent is software's: it names itself so, or nothing at all. */
  boolean nameSoftware(String agent) {
    if (agent == null || agent.isBlank()) {
      return true;
    }
    String lower = agent.toLowerCase(Locale.ROOT);
    return agents.stream().anyMatch(word -> standsIn(lower, word));
  }

  /** At the end of a name: "bot" stands in "examplebot/2.0", and not in "bottle". */
  private static boolean standsIn(String agent, String word) {
    for (int at = agent.indexOf(word); at >= 0; at = agent.indexOf(word, at + 1)) {
      int end = at + word.length();
      if (end == agent.length() || !Character.isLetter(agent.charAt(end))) {
        return true;
      }
    }
    return false;
  }

  /** Whether a fetch came from a mail service's own machines. */
  boolean knowAddress(String address) {
    return address != null && ranges.stream().anyMatch(range -> range.holds(address));
  }
}
