package app.jemble.core.pace;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.LongPredicate;

/**
 * A plan sought backwards from the instant by which the last message must have left. Each answer is
 * proved by the forward plan.
 *
 * <p>On one clock a larger wave, a shorter gap or an earlier start never ends later, so that the
 * answer is the smallest, the longest or the latest of all. On several clocks waves can fall out of
 * step with short hours; then the answer works, and the next smaller, longer or later one does not.
 */
public final class Deadline {

  private static final long SECOND = 1;
  private static final long MINUTE = 60;

  /**
   * Why nothing meets the deadline.
   *
   * @param by how much too late the last message leaves at best; empty when some never leave
   * @param limits what alone would have to give way: {@link Plan#HOURS}, {@link Plan#QUIET} or the
   *     name of a cap; several when only together; none when the start itself is too late
   */
  public record Miss(Optional<Duration> by, List<String> limits) {}

  private final PlanAsk ask;
  private final Clocks clocks;
  private final Instant deadline;

  public Deadline(PlanAsk ask, Clocks clocks, Instant deadline) {
    this.ask = ask;
    this.clocks = clocks;
    this.deadline = deadline;
  }

  /** The smallest waves that do it at the gap that was asked for. */
  public Optional<Pace> smallestWave() {
    long gap = ask.pace().gapSeconds();
    long people = first(1, Math.max(1, clocks.size()), w -> meets(new Pace((int) w, gap)));
    return people < 0 ? Optional.empty() : Optional.of(new Pace((int) people, gap));
  }

  /** The longest gap, in whole seconds, that does it with waves of the size that was asked for. */
  public Optional<Pace> largestGap() {
    int people = ask.pace().people();
    long most = Math.max(0, Duration.between(earliest(), deadline).toSeconds());
    long gap = last(most, SECOND, g -> meets(new Pace(people, g)));
    return gap < 0 ? Optional.empty() : Optional.of(new Pace(people, gap));
  }

  /** The latest start, in whole minutes, that does it at the pace that was asked for. */
  public Optional<Start> latestStart() {
    if (ask.start() instanceof Start.OwnTime) {
      LocalDateTime from =
          LocalDateTime.ofInstant(ask.notBefore(), ask.house()).truncatedTo(ChronoUnit.MINUTES);
      LocalDateTime to = LocalDateTime.ofInstant(deadline, ask.house()).plusDays(1);
      long most = Math.max(0, Duration.between(from, to).toSeconds());
      long later = last(most, MINUTE, s -> meets(new Start.OwnTime(from.plusSeconds(s))));
      return later < 0 ? Optional.empty() : Optional.of(new Start.OwnTime(from.plusSeconds(later)));
    }
    Instant from = wholeMinute(ask.notBefore());
    long most = Math.max(0, Duration.between(from, deadline).toSeconds());
    long later = last(most, MINUTE, s -> meets(new Start.At(from.plusSeconds(s))));
    return later < 0 ? Optional.empty() : Optional.of(new Start.At(from.plusSeconds(later)));
  }

  private static Instant wholeMinute(Instant instant) {
    Instant minute = instant.truncatedTo(ChronoUnit.MINUTES);
    return minute.equals(instant) ? instant : minute.plusSeconds(MINUTE);
  }

  /** Why not even all at once, from the start that was asked for, would be in time; or empty. */
  public Optional<Miss> miss() {
    PlanAsk fastest = ask.at(Pace.ALL_AT_ONCE);
    Plan plan = Planner.plan(fastest, clocks);
    if (plan.isDoneBy(deadline)) {
      return Optional.empty();
    }
    Optional<Duration> by =
        plan.unplanned() > 0
            ? Optional.empty()
            : plan.last().map(last -> Duration.between(deadline, last));
    return Optional.of(new Miss(by, limits(fastest)));
  }

  private List<String> limits(PlanAsk fastest) {
    List<String> alone = new ArrayList<>();
    if (isMetBy(fastest.atAnyHour())) {
      alone.add(Plan.HOURS);
    }
    if (isMetBy(fastest.atNight())) {
      alone.add(Plan.QUIET);
    }
    for (DailyCap cap : fastest.caps()) {
      List<DailyCap> others = fastest.caps().stream().filter(c -> c != cap).toList();
      if (isMetBy(fastest.under(others))) {
        alone.add(cap.name());
      }
    }
    if (!alone.isEmpty() || !isMetBy(fastest.atAnyHour().atNight().under(List.of()))) {
      return alone;
    }
    List<String> together = new ArrayList<>();
    if (!isMetBy(fastest.atNight().under(List.of()))) {
      together.add(Plan.HOURS);
    }
    if (!isMetBy(fastest.atAnyHour().under(List.of()))) {
      together.add(Plan.QUIET);
    }
    if (!isMetBy(fastest.atAnyHour().atNight())) {
      fastest.caps().forEach(cap -> together.add(cap.name()));
    }
    return together;
  }

  private Instant earliest() {
    return clocks.shares().stream()
        .map(share -> Instant.ofEpochSecond(ask.startIn(share.zone())))
        .min(Instant::compareTo)
        .orElse(ask.notBefore());
  }

  private boolean meets(Pace pace) {
    return isMetBy(ask.at(pace));
  }

  private boolean meets(Start start) {
    return isMetBy(ask.at(start));
  }

  private boolean isMetBy(PlanAsk other) {
    return Planner.plan(other, clocks).isDoneBy(deadline);
  }

  /** The first number that holds, where all after it do as well; -1 when not even the last. */
  private static long first(long from, long to, LongPredicate holds) {
    if (!holds.test(to)) {
      return -1;
    }
    long no = from - 1;
    long yes = to;
    while (yes - no > 1) {
      long middle = no + (yes - no) / 2;
      if (holds.test(middle)) {
        yes = middle;
      } else {
        no = middle;
      }
    }
    return yes;
  }

  /** The last multiple of a step that holds, where all before it do; -1 when not even 0. */
  private static long last(long most, long step, LongPredicate holds) {
    long steps = first(0, most / step + 1, s -> s > most / step || !holds.test(s * step));
    return steps == 0 ? -1 : (steps - 1) * step;
  }
}
