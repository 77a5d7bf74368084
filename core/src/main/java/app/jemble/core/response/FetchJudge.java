package app.jemble.core.response;

import java.time.Instant;
import java.util.Collection;
import java.util.Set;

/**
 * Whether a fetch of the open mark, or of a link, was made by software rather than by the reader.
 * One sign is enough; see {@link FetchRules} for the signs and their reasons.
 */
public final class FetchJudge {

  /** Of fewer links a reader may well follow all. */
  private static final int FEWEST_LINKS = 3;

  private FetchJudge() {}

  /**
   * A fetch.
   *
   * @param at when it came
   * @param agent the User-Agent header, null when there was none
   * @param address from where, null when not known
   */
  public record Fetch(Instant at, String agent, String address) {}

  /**
   * @param sent when the message was handed over
   */
  public static boolean isMachine(Instant sent, Fetch fetch, FetchRules rules) {
    return !fetch.at().isAfter(sent.plus(rules.tooSoon()))
        || rules.nameSoftware(fetch.agent())
        || rules.knowAddress(fetch.address());
  }

  /**
   * Whether links that were followed within {@link FetchRules#burst()} were followed by software.
   *
   * @param links all that stand in the message
   * @param followed those that were followed meanwhile
   */
  public static boolean isBurst(Set<String> links, Collection<String> followed) {
    return links.size() >= FEWEST_LINKS && followed.containsAll(links);
  }
}
