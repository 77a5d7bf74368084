package app.jemble.core.check;

import app.jemble.core.check.Finding.Code;
import app.jemble.core.check.Finding.Severity;
import app.jemble.core.record.PersonId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.IntFunction;

/** Whether the sender may write to as many as there are in the end. */
public final class SenderLook {

  /**
   * What is decided for a sender.
   *
   * @param refusal why not and whom to ask; null where they may
   * @param nod who may nod to it; null where no nod is needed
   */
  public record Answer(String refusal, String nod) {

    public static final Answer MAY = new Answer(null, null);
  }

  private final Integer most;
  private final IntFunction<Answer> ask;
  private final List<PersonId> beyond = new ArrayList<>();
  private int people;

  /**
   * @param most how many the sender may write to at once; null for any number
   * @param ask what is decided for how many
   */
  public SenderLook(Integer most, IntFunction<Answer> ask) {
    this.most = most;
    this.ask = ask;
  }

  void add(PersonId person) {
    people++;
    if (most != null && people > most) {
      beyond.add(person);
    }
  }

  /** A blocker of those who are beyond the limit, so that leaving them out mends it. */
  Optional<Finding> refusal() {
    return Optional.ofNullable(ask.apply(people).refusal())
        .map(why -> new Finding(Severity.BLOCKER, Code.SENDER_NOT_ALLOWED, "sender", why, beyond));
  }

  Optional<Finding> nod() {
    return Optional.ofNullable(ask.apply(people).nod())
        .map(who -> new Finding(Severity.NOTICE, Code.NEEDS_NOD, "sender", who, List.of()));
  }
}
