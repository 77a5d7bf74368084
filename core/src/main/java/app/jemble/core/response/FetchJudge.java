package app.jemble.core.response;

import java.time.Instant;

/**
 * Whether a fetch of the open mark, or of a link, was made by software rather than by the reader.
 * One sign is enough; see {@link FetchRules} for the signs and their reasons.
 */
public final class FetchJudge {

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
}
