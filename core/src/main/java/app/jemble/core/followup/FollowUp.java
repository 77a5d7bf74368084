package app.jemble.core.followup;

import app.jemble.core.reach.Reach;
import app.jemble.core.response.Standing;
import java.util.Optional;

/** Following people up: who is, who never is, and who not yet. */
public final class FollowUp {

  private FollowUp() {}

  /**
   * What is known of one person when the wait is over.
   *
   * @param thread where the whole thread stands, {@link Standing#strongest}
   * @param excluded found by the filter of those who are left out
   * @param reach for another message; null when none is to be sent
   * @param away an automatic reply says that they are
   * @param mailToPlace a mail from their address waits for somebody to say what it answers
   */
  public record Facts(
      Standing thread, boolean excluded, Reach reach, boolean away, boolean mailToPlace) {}

  /**
   * What comes of a rule for one person. Both acting and not acting are for good; whoever waits is
   * judged again.
   *
   * @param words why not, or what is waited for; empty when it acts
   */
  public record Judgement(Outcome outcome, String words) {
    static final Judgement ACT = new Judgement(Outcome.ACT, "");
  }

  /** Whether a rule acts. */
  public enum Outcome {
    ACT,
    NOT,
    WAIT
  }

  /** Whether a rule acts on a person once its wait is over. */
  public static Judgement judge(Whom whom, Facts facts) {
    Optional<String> stopped = stoppedBy(facts.thread());
    if (stopped.isPresent()) {
      return not(stopped.get());
    }
    if (facts.excluded()) {
      return not("is among those left out");
    }
    if (facts.reach() != null && facts.reach() != Reach.READY) {
      return not(facts.reach().words());
    }
    if (facts.away()) {
      return new Judgement(Outcome.WAIT, "is away");
    }
    if (facts.mailToPlace()) {
      return new Judgement(Outcome.WAIT, "a mail from their address waits to be placed");
    }
    return whom.means(facts.thread()) ? Judgement.ACT : not(facts.thread().words());
  }

  /** Whether a rule acts at once on somebody who has responded. */
  public static Judgement atOnce(boolean excluded) {
    return excluded ? not("is among those left out") : Judgement.ACT;
  }

  private static Judgement not(String words) {
    return new Judgement(Outcome.NOT, words);
  }

  /**
   * Why nobody is followed up, given where the thread stands at that instant; empty when they may
   * be. Whoever replied, left or was returned never gets another message, however late that came.
   */
  public static Optional<String> stoppedBy(Standing thread) {
    return switch (thread) {
      case REPLIED -> Optional.of("replied in the meantime");
      case LEFT -> Optional.of("left the list in the meantime");
      case RETURNED -> Optional.of("the first message came back");
      default -> Optional.empty();
    };
  }
}
