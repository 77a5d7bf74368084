package app.jemble.carrier;

import java.time.Duration;
import java.util.List;

/** What the other side of a carrier made of a message. */
public sealed interface HandoverResult {

  /** A few words for people. */
  String words();

  /**
   * It took the message over.
   *
   * @param references what it calls the message in what it tells later; none where it tells nothing
   */
  record Accepted(List<String> references) implements HandoverResult {
    public Accepted {
      references = List.copyOf(references);
    }

    public Accepted() {
      this(List.of());
    }

    @Override
    public String words() {
      return "accepted";
    }
  }

  /**
   * It asked to try again later (4xx, RFC 5321 section 4.2.1).
   *
   * @param atLeast how long it asked to wait; zero where it said nothing of that
   */
  record PutOff(String words, Duration atLeast) implements HandoverResult {
    public PutOff(String words) {
      this(words, Duration.ZERO);
    }
  }

  /** Nobody is there any more where it went: what is left to try is looked at anew. */
  record Closed(String words) implements HandoverResult {}

  /** It will not take it (5xx). */
  record Refused(String words) implements HandoverResult {}

  /** The message was given, the answer was lost: it may or may not be on its way. */
  record InDoubt(String words) implements HandoverResult {}

  /** The server broke off before the message was given. */
  record NotTried(String words) implements HandoverResult {}

  /** The server could not be reached, or would not let us in: so it will be for all messages. */
  record Unreachable(String words) implements HandoverResult {}
}
