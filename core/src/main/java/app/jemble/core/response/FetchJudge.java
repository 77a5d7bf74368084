package app.jemble.core.response;

import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import java.util.regex.Pattern;

/**
 * Whether a fetch of the open mark, or of a link, was made by software rather than by the reader.
 *
 * <p>Two signs (common practice): it came within seconds of delivery, sooner than anyone opens a
 * message; or its agent is no mail reader or browser: empty, or naming itself a robot, a scanner, a
 * prefetcher or a programming library.
 */
public final class FetchJudge {

  private static final Pattern SOFTWARE =
      Pattern.compile(
          "bot\\b|crawl|spider|scan|prefetch|preview|monitor|curl|wget|java/|python|libwww|okhttp|http-?client");

  private FetchJudge() {}

  /**
   * @param sent when the message was handed over
   * @param fetched when the fetch came
   * @param agent the User-Agent header, null when there was none
   * @param tooSoon fetches up to this long after the hand-over are software's
   */
  public static boolean isMachine(Instant sent, Instant fetched, String agent, Duration tooSoon) {
    if (!fetched.isAfter(sent.plus(tooSoon))) {
      return true;
    }
    return agent == null
        || agent.isBlank()
        || SOFTWARE.matcher(agent.toLowerCase(Locale.ROOT)).find();
  }
}
