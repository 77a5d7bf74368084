package app.jemble.series.entry;

import app.jemble.account.AccountService;
import app.jemble.core.record.PersonId;
import app.jemble.core.series.SeriesState;
import app.jemble.filter.FilterBody;
import app.jemble.filter.Selection;
import app.jemble.plan.SendPlan;
import app.jemble.problem.Problem;
import app.jemble.series.OpenSeries;
import app.jemble.series.Series;
import app.jemble.series.SeriesClocks;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** People come into a series, and are taken out. */
@Service
public class Entering {

  private static final int LOT = 50_000;

  private final EntryMapper entries;
  private final EntryPlanning planning;
  private final SeriesRun run;
  private final OpenSeries open;
  private final SeriesClocks clocks;
  private final WhoComesIn who;
  private final AccountService accounts;
  private final Clock clock;

  Entering(
      EntryMapper entries,
      EntryPlanning planning,
      SeriesRun run,
      OpenSeries open,
      SeriesClocks clocks,
      WhoComesIn who,
      AccountService accounts,
      Clock clock) {
    this.entries = entries;
    this.planning = planning;
    this.run = run;
    this.open = open;
    this.clocks = clocks;
    this.who = who;
    this.accounts = accounts;
    this.clock = clock;
  }

  /**
   * Who comes in, and when.
   *
   * @param filter whoever it picks now; null for {@code picks}
   * @param picked those that are picked on a screen, instead of both; null for none
   * @param plan in waves; null for all at once
   */
  public record Coming(FilterBody filter, List<PersonId> picks, Selection picked, SendPlan plan) {}

  /**
   * Lets people in.
   *
   * @return how many came in; others are in already, or were and do not come in again
   */
  @Transactional
  public int letIn(long seriesId, Coming coming, String cameBy) {
    accounts.currentWriter();
    Series series = open.lock(seriesId);
    if (series.state() == SeriesState.ENDED) {
      throw Problem.conflict("This series was ended; nobody comes in any more.");
    }
    List<PersonId> whom = who.comes(coming);
    Instant now = clock.instant();
    Instant endedBy = series.reEntry().endedBy(now, clocks.house()).orElse(null);
    if (coming.plan() != null && !coming.plan().equals(SendPlan.AT_ONCE)) {
      return inWaves(seriesId, whom, coming.plan(), cameBy, now, endedBy);
    }
    return atOnce(series, whom, cameBy, now, endedBy);
  }

  /** These come in now, as far as they are not in and may. */
  int atOnce(Series series, List<PersonId> whom, String cameBy, Instant now, Instant endedBy) {
    Instant lookAt = clocks.firstLook(series, open.steps(series.id()), now);
    int in = 0;
    for (int from = 0; from < whom.size(); from += LOT) {
      PersonId[] lot =
          whom.subList(from, Math.min(whom.size(), from + LOT)).toArray(PersonId[]::new);
      in += entries.letIn(series.id(), lot, cameBy, now, lookAt, endedBy);
    }
    return in;
  }

  /**
   * These come in by something they did; into a series that was ended nobody comes.
   *
   * @param whom of them those who are in already, or do not come in again, are passed over
   */
  @Transactional
  public int comeInThemselves(long seriesId, List<PersonId> whom, String cameBy) {
    Series series = open.held(seriesId);
    if (series == null || series.state() == SeriesState.ENDED) {
      return 0;
    }
    Instant now = clock.instant();
    return atOnce(
        series, whom, cameBy, now, series.reEntry().endedBy(now, clocks.house()).orElse(null));
  }

  private int inWaves(
      long seriesId,
      List<PersonId> whom,
      SendPlan plan,
      String cameBy,
      Instant now,
      Instant endedBy) {
    List<Optional<Instant>> instants = planning.instants(whom, plan, now);
    int in = 0;
    for (int from = 0; from < whom.size(); from += LOT) {
      List<PersonId> lot = new ArrayList<>();
      List<Long> seconds = new ArrayList<>();
      for (int at = from; at < Math.min(whom.size(), from + LOT); at++) {
        if (instants.get(at).isPresent()) {
          lot.add(whom.get(at));
          seconds.add(instants.get(at).get().getEpochSecond());
        }
      }
      in +=
          entries.letInAt(
              seriesId,
              lot.toArray(PersonId[]::new),
              seconds.toArray(Long[]::new),
              cameBy,
              endedBy);
    }
    return in;
  }

  /** What a plan of coming in comes to. */
  public EntryPlan plan(long seriesId, Coming coming) {
    SendPlan plan = coming.plan() == null ? SendPlan.AT_ONCE : coming.plan();
    return planning.view(open.find(seriesId), who.comes(coming), plan);
  }

  /** Takes people out; what has not left to them does not. */
  @Transactional
  public int takeOut(long seriesId, List<PersonId> whom) {
    String by = accounts.currentWriter().name();
    open.lock(seriesId);
    return entries.takeOut(
        seriesId, whom.toArray(PersonId[]::new), "taken out by " + by, clock.instant());
  }

  /** Nothing leaves to somebody before a day begins at the workspace; null lifts that. */
  @Transactional
  public void hold(long seriesId, PersonId person, LocalDate day) {
    accounts.currentWriter();
    open.lock(seriesId);
    Instant until = day == null ? null : day.atStartOfDay(clocks.house()).toInstant();
    if (entries.hold(seriesId, person, until, clock.instant()) == 0) {
      throw Problem.notFound("They are not in this series.");
    }
  }

  /** Somebody does not get a step that they have not had. */
  @Transactional
  public void skip(long seriesId, PersonId person, long stepId) {
    accounts.currentWriter();
    open.lock(seriesId);
    if (entries.skip(seriesId, person, stepId) == 0) {
      throw Problem.conflict("They are not in this series, or have had this step.");
    }
  }

  /** Somebody gets a step after all that was left out for them. */
  @Transactional
  public void skipNot(long seriesId, PersonId person, long stepId) {
    accounts.currentWriter();
    open.lock(seriesId);
    if (entries.skipNot(seriesId, person, stepId) == 0) {
      throw Problem.conflict("It was not left out for them, or they are past it.");
    }
  }

  /** Sends somebody the step that is next for them, without waiting for it. */
  public void sendNow(long seriesId, PersonId person, long stepId) {
    accounts.currentWriter();
    open.find(seriesId);
    run.sendNow(seriesId, person, stepId)
        .ifPresent(
            not -> {
              throw Problem.conflict(not);
            });
  }
}
