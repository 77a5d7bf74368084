package app.jemble.record;

import app.jemble.core.record.PersonId;
import java.time.Clock;
import java.util.List;
import org.springframework.stereotype.Service;

/** People as rows: added, given a picture, and gone again. Their values are changed as fields. */
@Service
public class PersonRows {

  private final PersonRowMapper mapper;
  private final Clock clock;

  PersonRows(PersonRowMapper mapper, Clock clock) {
    this.mapper = mapper;
    this.clock = clock;
  }

  /** Adds a person of whom nothing is known but the kind; answers their id. */
  public PersonId add(String kind) {
    return mapper.add(kind, clock.instant());
  }

  /** The key of a person's picture, or null; false when the person is not on record any more. */
  public boolean picture(PersonId id, String key) {
    return mapper.picture(id, key) > 0;
  }

  /** Takes people off the record; those to whom something was sent are archived instead. */
  void takeOff(List<PersonId> people) {
    PersonId[] ids = people.toArray(PersonId[]::new);
    mapper.delete(ids);
    mapper.archive(ids, clock.instant());
  }
}
