package app.jemble.core.house;

import java.util.Arrays;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/** What a new house sets up before its first mailing, in the order that works best. */
public enum SetUpStep {
  /** its name, its postal address, its mail domain */
  HOUSE(facts -> facts.isNamed()),
  /** what mails leave through, and where replies arrive */
  MAIL(facts -> facts.hasMailServer() && facts.hasMailbox()),
  /** whom to write to */
  PEOPLE(facts -> facts.people() > 0),
  /** how letters look */
  LETTERHEAD(facts -> facts.hasOwnLetterhead()),
  /** topics that people can leave, plans that members can have */
  WORDS(facts -> facts.hasOwnWords()),
  /** who works here */
  COLLEAGUES(facts -> facts.colleagues() > 1);

  /**
   * What is known of a house.
   *
   * @param isNamed whether it has said its name, its postal address and its mail domain
   * @param hasOwnWords whether it has a plan, or a topic beside the one it begins with
   * @param hasOwnLetterhead whether somebody has touched one
   * @param people who are no colleagues
   * @param colleagues who can sign in
   */
  public record Facts(
      boolean isNamed,
      boolean hasMailServer,
      boolean hasMailbox,
      boolean hasOwnWords,
      boolean hasOwnLetterhead,
      long people,
      long colleagues) {}

  private final Predicate<Facts> done;

  SetUpStep(Predicate<Facts> done) {
    this.done = done;
  }

  public boolean isDone(Facts facts) {
    return done.test(facts);
  }

  /** What comes next: the first that is neither done nor put off. */
  public static Optional<SetUpStep> next(Facts facts, Set<SetUpStep> putOff) {
    return Arrays.stream(values())
        .filter(step -> !step.isDone(facts) && !putOff.contains(step))
        .findFirst();
  }
}
