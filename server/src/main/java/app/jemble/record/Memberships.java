package app.jemble.record;

import app.jemble.core.record.PersonId;
import java.util.List;
import org.springframework.stereotype.Component;

/** Takes back memberships that an act began. */
@Component
class Memberships implements Undoing {

  static final String FIELD = "membership";

  private final ChangeMapper mapper;

  Memberships(ChangeMapper mapper) {
    this.mapper = mapper;
  }

  @Override
  public boolean takes(String field) {
    return field.equals(FIELD);
  }

  @Override
  public void undo(String field, List<Noted> changes) {
    mapper.endMemberships(changes.stream().map(Noted::personId).toArray(PersonId[]::new));
  }
}
