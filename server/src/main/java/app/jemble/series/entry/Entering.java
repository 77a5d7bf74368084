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
import app.jemble.series.entry.ComingMapper.EntryOf;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** People come into a series, and are taken out. */
@Service
public class Entering {

  private static final int LOT = 50_000;

  private final ComingMapper coming;
  private final EntryPlanning planning;
  private final OpenSeries open;
  private final SeriesClocks clocks;
  private final WhoComesIn who;
  private final AccountService accounts;
  private final EntryHistory history;
  private final Clock clock;

  Entering(
      ComingMapper coming,
      EntryPlanning planning,
      OpenSeries open,
      SeriesClocks clocks,
      WhoComesIn who,
      AccountService accounts,
      EntryHistory history,
      Clock clock) {
    this.coming = coming;
    this.planning = planning;
    this.open = open;
    this.clocks = clocks;
    this.who = who;
    this.accounts = accounts;
    this.history = history;
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
   * Who came in.
   *
   * @param act of the history, that takes it back; null where nobody did, or too many
   */
  public record Came(int in, Long act) {}

  /**
   * Lets people in.
   *
   * @return how many came in; others are in already, or were and do not come in again
   */
  @Transactional
  public Came letIn(long seriesId, Coming whoComes, String cameBy) {
    accounts.currentWriter();
    Series series = open.lock(seriesId);
    if (series.state() == SeriesState.ENDED) {
      throw Problem.conflict("This series was ended; nobody comes in any more.");
    }
    List<PersonId> whom = who.comes(whoComes);
    Instant now = clock.instant();
    Instant endedBy = series.reEntry().endedBy(now, clocks.house()).orElse(null);
    boolean inWaves = whoComes.plan() != null && !whoComes.plan().equals(SendPlan.AT_ONCE);
    List<EntryOf> in =
        inWaves
            ? inWaves(seriesId, whom, whoComes.plan(), cameBy, now, endedBy)
            : atOnce(series, whom, cameBy, now, endedBy);
    return new Came(in.size(), history.cameIn(series, in));
  }

  /** These come in now, as far as they are not in and may. */
  List<EntryOf> atOnce(
      Series series, List<PersonId> whom, String cameBy, Instant now, Instant endedBy) {
    Instant lookAt = clocks.firstLook(series, open.steps(series.id()), now);
    List<EntryOf> in = new ArrayList<>();
    for (int from = 0; from < whom.size(); from += LOT) {
      PersonId[] lot =
          whom.subList(from, Math.min(whom.size(), from + LOT)).toArray(PersonId[]::new);
      in.addAll(coming.letIn(series.id(), lot, cameBy, now, lookAt, endedBy));
    }
    return in;
  }

  /**
   * These come in by something they did; into a series that was ended nobody comes.
   *
   * @param whom of them those who are in already, or do not come in again, are passed over
   * @param act of the history that it belongs to, or null
   */
  @Transactional
  public int comeInThemselves(long seriesId, List<PersonId> whom, String cameBy, Long act) {
    Series series = open.held(seriesId);
    if (series == null || series.state() == SeriesState.ENDED) {
      return 0;
    }
    Instant now = clock.instant();
    Instant endedBy = series.reEntry().endedBy(now, clocks.house()).orElse(null);
    List<EntryOf> in = atOnce(series, whom, cameBy, now, endedBy);
    if (act != null) {
      history.cameInBy(act, in);
    }
    return in.size();
  }

  private List<EntryOf> inWaves(
      long seriesId,
      List<PersonId> whom,
      SendPlan plan,
      String cameBy,
      Instant now,
      Instant endedBy) {
    List<Optional<Instant>> instants = planning.instants(whom, plan, now);
    List<EntryOf> in = new ArrayList<>();
    for (int from = 0; from < whom.size(); from += LOT) {
      List<PersonId> lot = new ArrayList<>();
      List<Long> seconds = new ArrayList<>();
      for (int at = from; at < Math.min(whom.size(), from + LOT); at++) {
        if (instants.get(at).isPresent()) {
          lot.add(whom.get(at));
          seconds.add(instants.get(at).get().getEpochSecond());
        }
      }
      in.addAll(
          coming.letInAt(
              seriesId,
              lot.toArray(PersonId[]::new),
              seconds.toArray(Long[]::new),
              cameBy,
              endedBy));
    }
    return in;
  }

  /** What a plan of coming in comes to. */
  public EntryPlan plan(long seriesId, Coming coming) {
    SendPlan plan = coming.plan() == null ? SendPlan.AT_ONCE : coming.plan();
    return planning.view(open.find(seriesId), who.comes(coming), plan);
  }

  /**
   * Who was taken out.
   *
   * @param act of the history, that takes it back; null where nobody was, or too many
   */
  public record Out(int out, Long act) {}

  /** Takes people out; what has not left to them does not. */
  @Transactional
  public Out takeOut(long seriesId, List<PersonId> whom) {
    String by = accounts.currentWriter().name();
    Series series = open.lock(seriesId);
    List<EntryOf> out =
        coming.takeOut(
            seriesId, whom.toArray(PersonId[]::new), "taken out by " + by, clock.instant());
    return new Out(out.size(), history.takenOut(series, out));
  }
}
