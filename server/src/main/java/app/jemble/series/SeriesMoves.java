package app.jemble.series;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.core.series.SeriesState;
import app.jemble.problem.Problem;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A series begins, rests, goes on, ends. */
@Service
public class SeriesMoves {

  private final SeriesMapper mapper;
  private final SeriesEntries entries;
  private final OpenSeries open;
  private final StepCauses causes;
  private final AccountService accounts;
  private final Clock clock;

  SeriesMoves(
      SeriesMapper mapper,
      SeriesEntries entries,
      OpenSeries open,
      StepCauses causes,
      AccountService accounts,
      Clock clock) {
    this.mapper = mapper;
    this.entries = entries;
    this.open = open;
    this.causes = causes;
    this.accounts = accounts;
    this.clock = clock;
  }

  /** What stands in the way of activation, each with its place; empty when nothing does. */
  public List<String> blockers(long id) {
    open.find(id);
    List<SeriesStep> steps = live(id);
    List<String> blockers = new ArrayList<>();
    if (steps.isEmpty()) {
      blockers.add("It has no step.");
    }
    for (int i = 0; i < steps.size(); i++) {
      int number = i + 1;
      causes
          .blockers(steps.get(i).causeId())
          .forEach(b -> blockers.add(String.format(Locale.ROOT, "Step %d: %s", number, b)));
    }
    return blockers;
  }

  private void mustBeReady(long id) {
    blockers(id).stream()
        .findFirst()
        .ifPresent(
            first -> {
              throw Problem.wrong("steps", first);
            });
  }

  /** From now on people can come in, and what is due leaves. */
  @Transactional
  public void activate(long id) {
    accounts.currentWriter();
    Series series = open.lock(id);
    if (series.state() != SeriesState.DRAFT) {
      throw Problem.conflict("This series was activated already.");
    }
    mustBeReady(id);
    causes.release(series, live(id));
    mapper.move(id, SeriesState.ACTIVE, null);
  }

  /** Nothing leaves until it goes on. */
  @Transactional
  public void pause(long id) {
    Account by = accounts.currentWriter();
    Series series = open.lock(id);
    if (!series.state().mayPause()) {
      throw Problem.conflict("Only an active series can be paused.");
    }
    causes.pause(mapper.steps(id), "the series was paused by " + by.name());
    mapper.move(id, SeriesState.PAUSED, clock.instant());
  }

  /**
   * Lets it go on.
   *
   * @param waitsStoodStill whether the time of the pause does not count as waited
   */
  @Transactional
  public void goOn(long id, boolean waitsStoodStill) {
    accounts.currentWriter();
    Series series = open.lock(id);
    if (series.state() != SeriesState.PAUSED) {
      throw Problem.conflict("Only a paused series can go on.");
    }
    mustBeReady(id);
    Instant now = clock.instant();
    if (waitsStoodStill) {
      double seconds = Duration.between(series.pausedAt(), now).toMillis() / 1000.0;
      entries.putOff(id, seconds, now);
    }
    causes.goOn(mapper.steps(id));
    mapper.move(id, SeriesState.ACTIVE, null);
  }

  /** Nothing of it leaves any more, to anybody. */
  @Transactional
  public void end(long id) {
    accounts.currentWriter();
    Series series = open.lock(id);
    if (!series.state().mayEnd()) {
      throw Problem.conflict("Only an active or a paused series can be ended.");
    }
    causes.withdraw(mapper.steps(id));
    entries.endAll(id, "the series was ended", clock.instant());
    mapper.move(id, SeriesState.ENDED, null);
  }

  private List<SeriesStep> live(long id) {
    return mapper.steps(id).stream().filter(s -> s.goneAt() == null).toList();
  }
}
