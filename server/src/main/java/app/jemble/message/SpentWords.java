package app.jemble.message;

import app.jemble.core.record.PersonId;
import java.util.List;
import org.springframework.stereotype.Component;

/**
 * Own words for one day of a person's: when the day comes round again they are spent, and the year
 * begins from the shared ones.
 */
@Component
public class SpentWords {

  private final OwnWordingMapper mapper;

  SpentWords(OwnWordingMapper mapper) {
    this.mapper = mapper;
  }

  /** These have the shared words from now on. */
  public void of(long causeId, List<PersonId> people) {
    if (!people.isEmpty()) {
      mapper.dropOf(causeId, people.toArray(PersonId[]::new));
    }
  }
}
