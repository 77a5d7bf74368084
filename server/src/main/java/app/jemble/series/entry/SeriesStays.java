package app.jemble.series.entry;

import app.jemble.core.record.PersonId;
import app.jemble.core.response.ResponseKind;
import app.jemble.core.series.SeriesState;
import app.jemble.core.series.StepJudge;
import app.jemble.departure.LastLook;
import app.jemble.series.OpenSeries;
import app.jemble.series.Series;
import app.jemble.series.entry.EntryMapper.Leaving;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/**
 * Who must not get a step's message any more, asked as it leaves: a reply of that second counts.
 */
@Component
class SeriesStays implements LastLook {

  private final OpenSeries open;
  private final EntryMapper entries;
  private final StepPeople matching;

  SeriesStays(OpenSeries open, EntryMapper entries, StepPeople matching) {
    this.open = open;
    this.entries = entries;
    this.matching = matching;
  }

  @Override
  public Map<PersonId, String> notTo(long causeId, List<PersonId> people) {
    Optional<Series> of = open.ofCause(causeId);
    Map<PersonId, String> not = new HashMap<>();
    if (of.isEmpty()) {
      return not;
    }
    Series series = of.get();
    if (series.state() == SeriesState.ENDED) {
      people.forEach(person -> not.put(person, "the series was ended"));
      return not;
    }
    matching.ending(series, people).forEach(person -> not.put(person, StepJudge.MATCHED));
    List<Leaving> leaving = entries.leaving(series.id(), people.toArray(PersonId[]::new));
    Map<Long, Set<ResponseKind>> came =
        entries.kinds(leaving.stream().map(Leaving::entryId).toArray(Long[]::new));
    for (Leaving one : leaving) {
      if (one.ended()) {
        not.put(one.personId(), one.endedWhy());
      } else {
        StepJudge.endedBy(came.getOrDefault(one.entryId(), Set.of()), series.ending())
            .ifPresent(ended -> not.put(one.personId(), ended.why()));
      }
    }
    return not;
  }
}
