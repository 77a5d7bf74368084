package app.jemble.core.series;

import app.jemble.core.reach.Reach;
import app.jemble.core.response.ResponseKind;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What becomes of a step that is due to somebody. */
public final class StepJudge {

  /** These end a series for a person whatever was chosen; so does being returned for good. */
  private static final Set<Reach> ENDS =
      EnumSet.of(Reach.ASKED_NOT, Reach.LEFT_TOPIC, Reach.DO_NOT_WRITE);

  /** Why it is over for whoever matches the ending filter. */
  public static final String MATCHED = "came to match what ends it";

  private StepJudge() {}

  /**
   * What is known of one person when a step is due to them.
   *
   * @param reach whether they can be written to
   * @param came all that came back to the steps they have had in this entry
   * @param endFilter whether they match the ending filter
   * @param meant whether they match the filter of those whom the step is for
   * @param skipped a colleague said that they do not get this step
   * @param missing labels of merge fields that would stand empty
   */
  public record Facts(
      Reach reach,
      Set<ResponseKind> came,
      boolean endFilter,
      boolean meant,
      boolean skipped,
      List<String> missing) {

    public Facts {
      came = Set.copyOf(came);
      missing = List.copyOf(missing);
    }
  }

  /** What becomes of it. */
  public sealed interface Verdict permits Leaves, Past, Ends {}

  /** The message is put in the outbox. */
  public record Leaves() implements Verdict {}

  /** The person is past this step without a message, and goes on to the next. */
  public record Past(String why) implements Verdict {}

  /** The series is over for this person. */
  public record Ends(String why) implements Verdict {}

  /** The first that holds; what ends the series is asked before what passes one step. */
  public static Verdict judge(Facts of, Ending ending) {
    Verdict end = end(of, ending);
    if (end != null) {
      return end;
    }
    if (of.skipped()) {
      return new Past("skipped by hand");
    }
    if (!of.meant()) {
      return new Past("not among those whom this step is for");
    }
    if (of.reach() != Reach.READY) {
      return new Past(of.reach().words());
    }
    if (!of.missing().isEmpty()) {
      return new Past("has no " + String.join(", no ", of.missing()));
    }
    return new Leaves();
  }

  private static Verdict end(Facts of, Ending ending) {
    Optional<Ends> came = endedBy(of.came(), ending);
    if (came.isPresent()) {
      return came.get();
    }
    if (ENDS.contains(of.reach())) {
      return new Ends(of.reach().words());
    }
    return ending.onFilter() && of.endFilter() ? new Ends(MATCHED) : null;
  }

  /** What came back and ends it, whatever step the person waits for. */
  public static Optional<Ends> endedBy(Set<ResponseKind> came, Ending ending) {
    if (came.contains(ResponseKind.LEFT) || came.contains(ResponseKind.COMPLAINED)) {
      return Optional.of(new Ends("left the list"));
    }
    if (came.contains(ResponseKind.RETURNED_HARD)) {
      return Optional.of(new Ends("a message came back for good"));
    }
    if (ending.onReply() && came.contains(ResponseKind.REPLIED)) {
      return Optional.of(new Ends("replied"));
    }
    if (ending.onClick() && came.contains(ResponseKind.CLICKED)) {
      return Optional.of(new Ends("followed a link"));
    }
    return Optional.empty();
  }
}
