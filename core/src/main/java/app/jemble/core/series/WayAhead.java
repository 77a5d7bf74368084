package app.jemble.core.series;

import app.jemble.core.series.Steps.Step;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What comes when for somebody in a series, as far as it can be told now. */
public final class WayAhead {

  private WayAhead() {}

  /**
   * A step that is still to come.
   *
   * @param at when it leaves at the earliest, each step before leaving when it is due; empty when
   *     no hour comes
   */
  public record Ahead(Step step, Optional<Instant> at) {}

  /** All steps that somebody is not past, in order. */
  public static List<Ahead> of(Instant now, EntryLook.Entry entry, Steps steps, SeriesClock clock) {
    List<Ahead> ahead = new ArrayList<>();
    EntryLook.Entry from = entry.begun() == null ? begun(entry, entry.passed(), now) : entry;
    Optional<Step> next = steps.after(from.passed());
    while (next.isPresent()) {
      Step step = next.get();
      Optional<Instant> at = due(now, from, step, clock);
      ahead.add(new Ahead(step, at));
      if (at.isPresent()) {
        from = begun(from, step.id(), at.get());
        next = steps.after(step.id());
      } else {
        next = Optional.empty();
      }
    }
    return ahead;
  }

  private static Optional<Instant> due(
      Instant now, EntryLook.Entry from, Step step, SeriesClock clock) {
    Optional<Instant> due = EntryLook.due(from, step, clock);
    return due.isPresent() && due.get().isBefore(now) ? clock.mayLeave(now, from.zone()) : due;
  }

  private static EntryLook.Entry begun(EntryLook.Entry of, Long passed, Instant at) {
    return new EntryLook.Entry(passed, at, at, of.heldUntil(), of.zone(), of.came());
  }
}
