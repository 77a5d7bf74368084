package app.jemble.series.entry;

import app.jemble.account.AccountService;
import app.jemble.core.record.PersonId;
import app.jemble.problem.Problem;
import app.jemble.series.OpenSeries;
import app.jemble.series.SeriesClocks;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a colleague does for one of the people who are in a series. */
@Service
public class EntryActs {

  private final EntryMapper entries;
  private final SeriesRun run;
  private final OpenSeries open;
  private final SeriesClocks clocks;
  private final AccountService accounts;
  private final Clock clock;

  EntryActs(
      EntryMapper entries,
      SeriesRun run,
      OpenSeries open,
      SeriesClocks clocks,
      AccountService accounts,
      Clock clock) {
    this.entries = entries;
    this.run = run;
    this.open = open;
    this.clocks = clocks;
    this.accounts = accounts;
    this.clock = clock;
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
