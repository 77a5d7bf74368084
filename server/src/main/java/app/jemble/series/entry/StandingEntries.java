package app.jemble.series.entry;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.audience.AudienceParts;
import app.jemble.core.access.Right;
import app.jemble.core.record.PersonId;
import app.jemble.core.series.SeriesState;
import app.jemble.filter.AskedNow;
import app.jemble.people.PeopleService;
import app.jemble.series.OpenSeries;
import app.jemble.series.Series;
import app.jemble.series.SeriesClocks;
import app.jemble.storage.Sql;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Whoever comes to match a standing entry comes into its series. */
@Service
public class StandingEntries {

  private static final Logger LOG = LoggerFactory.getLogger(StandingEntries.class);

  private final OpenSeries open;
  private final Entering entering;
  private final SeriesClocks clocks;
  private final PeopleService people;
  private final AudienceParts parts;
  private final AccountService accounts;
  private final AskedNow asked;
  private final TransactionTemplate transaction;
  private final Clock clock;

  StandingEntries(
      OpenSeries open,
      Entering entering,
      SeriesClocks clocks,
      PeopleService people,
      AudienceParts parts,
      AccountService accounts,
      AskedNow asked,
      TransactionTemplate transaction,
      Clock clock) {
    this.open = open;
    this.entering = entering;
    this.clocks = clocks;
    this.people = people;
    this.parts = parts;
    this.accounts = accounts;
    this.asked = asked;
    this.transaction = transaction;
    this.clock = clock;
  }

  /** Looks at all of them; one that cannot be looked at does not keep the others from it. */
  void lookAtAll() {
    for (long series : open.standing()) {
      try {
        lookAt(series);
      } catch (RuntimeException trouble) {
        LOG.error(
            "Series {} could not be looked at for who comes in; tried again.", series, trouble);
      }
    }
  }

  /** How many came in. */
  public int lookAt(long seriesId) {
    Integer in =
        transaction.execute(
            tx -> {
              Series series = open.held(seriesId);
              boolean takes =
                  series != null
                      && series.state() == SeriesState.ACTIVE
                      && series.hasStandingEntry();
              return takes ? takeIn(series) : 0;
            });
    return in == null ? 0 : in;
  }

  private int takeIn(Series series) {
    Account sender = accounts.find(series.senderId());
    if (!sender.may(Right.SERIES)) {
      return 0;
    }
    Instant now = clock.instant();
    Instant endedBy = series.reEntry().endedBy(now, clocks.house()).orElse(null);
    List<PersonId> whom =
        people.idsBut(
            parts.any(series.entersParts()), asked.by(sender), wereIn(series.id(), endedBy));
    return entering.atOnce(series, whom, "as they came to match", now, endedBy).size();
  }

  /** Whether a person is in it, or was and does not come in again. */
  private static Sql wereIn(long seriesId, Instant endedBy) {
    Sql entry =
        Sql.of(
            "exists (select from series_entry e where e.series_id = %s and e.person_id = p.id",
            Sql.param(seriesId));
    return endedBy == null
        ? entry.plus(")")
        : entry.plus(
            Sql.of(
                " and (e.state = 'in' or e.ended_at > %s))", Sql.param(Timestamp.from(endedBy))));
  }
}
