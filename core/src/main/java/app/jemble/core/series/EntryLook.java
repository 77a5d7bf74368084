package app.jemble.core.series;

import app.jemble.core.response.ResponseKind;
import app.jemble.core.series.Steps.Step;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Optional;
import java.util.Set;

/** What is next for somebody in a series, when they are looked at. */
public final class EntryLook {

  /**
   * A step before that has not left is looked for again after a quarter of its age, within these.
   */
  private static final Duration SOONEST = Duration.ofSeconds(5);

  private static final Duration LATEST = Duration.ofMinutes(10);

  private static final Duration NO_HOUR_COMES = Duration.ofDays(1);

  private EntryLook() {}

  /**
   * What is known of an entry.
   *
   * @param passed the last step that they had or were passed over by; null for none
   * @param passedAt when it was put in the outbox or passed; without one, when they came in
   * @param begun from when the wait for the next step runs: when the message of the last one left;
   *     null while it has not
   * @param heldUntil nothing leaves to them before it, or null
   * @param zone the person's own
   * @param came all that came back to the steps they had
   */
  public record Entry(
      Long passed,
      Instant passedAt,
      Instant begun,
      Instant heldUntil,
      ZoneId zone,
      Set<ResponseKind> came) {}

  /** What is next. */
  public sealed interface Next permits Due, Later, Over {}

  /** A step is due. */
  public record Due(Step step) implements Next {}

  /** Nothing before this; then it is looked at again. */
  public record Later(Instant at) implements Next {}

  /**
   * @param why empty when the last step is past
   */
  public record Over(String why) implements Next {}

  public static Next at(Instant now, Entry of, Steps steps, Ending ending, SeriesClock clock) {
    Optional<StepJudge.Ends> ended = StepJudge.endedBy(of.came(), ending);
    if (ended.isPresent()) {
      return new Over(ended.get().why());
    }
    Optional<Step> step = steps.after(of.passed());
    if (step.isEmpty()) {
      return new Over("");
    }
    if (of.begun() == null) {
      Instant patient = now.plus(patience(of.passedAt(), now));
      Instant soonest = again(now, step.get(), of.zone(), clock);
      return new Later(soonest.isAfter(patient) ? soonest : patient);
    }
    Optional<Instant> due = due(of, step.get(), clock);
    if (due.isEmpty()) {
      return new Later(now.plus(NO_HOUR_COMES));
    }
    // Looked at late, it may leave only if the hours are still open.
    Instant may = due.get();
    if (may.isBefore(now)) {
      may = clock.mayLeave(now, of.zone()).orElse(now.plus(NO_HOUR_COMES));
    }
    return may.isAfter(now) ? new Later(may) : new Due(step.get());
  }

  /**
   * When somebody is looked at again whose message has not left yet: as it leaves now at the
   * soonest, the next step is not due before.
   */
  public static Instant again(Instant now, Step next, ZoneId zone, SeriesClock clock) {
    Instant due = clock.due(now, next.waits(), zone).orElse(now.plus(NO_HOUR_COMES));
    Instant soonest = now.plus(SOONEST);
    return due.isBefore(soonest) ? soonest : due;
  }

  /**
   * Why a step cannot be sent to somebody without waiting for it.
   *
   * @return empty when it can: it is the next, and the one before has left
   */
  public static Optional<String> notNow(Entry of, Steps steps, long step, Ending ending) {
    Optional<StepJudge.Ends> ended = StepJudge.endedBy(of.came(), ending);
    if (ended.isPresent()) {
      return Optional.of("The series is over for them: they " + ended.get().why() + ".");
    }
    if (steps.after(of.passed()).filter(next -> next.id() == step).isEmpty()) {
      return Optional.of("Another step is next for them.");
    }
    return of.begun() == null
        ? Optional.of("The step before has not left to them yet.")
        : Optional.empty();
  }

  /** When the next step is due to somebody; empty when no hour comes. */
  public static Optional<Instant> due(Entry of, Step step, SeriesClock clock) {
    Optional<Instant> due = clock.due(of.begun(), step.waits(), of.zone());
    if (of.heldUntil() == null || due.isEmpty() || !due.get().isBefore(of.heldUntil())) {
      return due;
    }
    return clock.mayLeave(of.heldUntil(), of.zone());
  }

  private static Duration patience(Instant since, Instant now) {
    Duration quarter = Duration.between(since, now).dividedBy(4);
    if (quarter.compareTo(SOONEST) < 0) {
      return SOONEST;
    }
    return quarter.compareTo(LATEST) > 0 ? LATEST : quarter;
  }
}
