package app.jemble.people;

import app.jemble.change.Undoing;
import java.time.Clock;
import java.util.List;
import org.springframework.stereotype.Component;

/**
 * Takes back people who were added: they go, unless something was sent to them meanwhile; those are
 * archived.
 */
@Component
class AddedPeople implements Undoing {

  static final String FIELD = "person";

  private final PersonMapper mapper;
  private final Clock clock;

  AddedPeople(PersonMapper mapper, Clock clock) {
    this.mapper = mapper;
    this.clock = clock;
  }

  @Override
  public boolean takes(String field) {
    return field.equals(FIELD);
  }

  @Override
  public void undo(String field, List<Noted> changes) {
    Long[] people = changes.stream().map(Noted::personId).toArray(Long[]::new);
    mapper.delete(people);
    mapper.archive(people, clock.instant());
  }
}
