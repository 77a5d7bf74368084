package app.jemble.series.entry;

import app.jemble.account.AccountService;
import app.jemble.audience.AudienceParts;
import app.jemble.core.reach.Reach;
import app.jemble.core.record.PersonId;
import app.jemble.core.response.ResponseKind;
import app.jemble.core.series.StepJudge.Facts;
import app.jemble.filter.AskedNow;
import app.jemble.filter.FilterBody;
import app.jemble.people.PeopleService;
import app.jemble.series.Series;
import app.jemble.series.SeriesStep;
import app.jemble.series.entry.EntryMapper.Entry;
import app.jemble.series.entry.EntryMapper.Skipped;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Who of those to whom a step is due is meant, matches what ends the series, or is to skip it. */
@Component
class StepPeople {

  private final EntryMapper entries;
  private final PeopleService people;
  private final AudienceParts parts;
  private final AccountService accounts;
  private final AskedNow asked;

  StepPeople(
      EntryMapper entries,
      PeopleService people,
      AudienceParts parts,
      AccountService accounts,
      AskedNow asked) {
    this.entries = entries;
    this.people = people;
    this.parts = parts;
    this.accounts = accounts;
    this.asked = asked;
  }

  /**
   * What was found of people.
   *
   * @param meant null when the step is for all
   */
  record Found(Set<PersonId> ending, Set<PersonId> meant, Set<Long> skipped) {
    Facts facts(Entry of, Reach reach, Set<ResponseKind> came, List<String> missing) {
      return new Facts(
          reach,
          came,
          ending.contains(of.personId()),
          meant == null || meant.contains(of.personId()),
          skipped.contains(of.id()),
          missing);
    }
  }

  Found find(Series series, SeriesStep step, List<Entry> due) {
    List<PersonId> whom = due.stream().map(Entry::personId).toList();
    Long[] ids = due.stream().map(Entry::id).toArray(Long[]::new);
    Set<PersonId> meant = step.isForAll() ? null : among(series, step.meant(), whom);
    return new Found(
        ending(series, whom),
        meant,
        entries.skipped(ids).stream()
            .filter(s -> s.stepId() == step.id())
            .map(Skipped::entryId)
            .collect(Collectors.toSet()));
  }

  /** Of these people, those who match what ends the series. */
  Set<PersonId> ending(Series series, List<PersonId> whom) {
    return among(series, series.endsParts(), whom);
  }

  private Set<PersonId> among(Series series, String stored, List<PersonId> whom) {
    FilterBody filter = parts.any(stored);
    return filter == null
        ? Set.of()
        : people.among(whom, filter, asked.by(accounts.find(series.senderId())));
  }
}
