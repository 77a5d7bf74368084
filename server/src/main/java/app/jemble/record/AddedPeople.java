package app.jemble.record;

import java.util.List;
import org.springframework.stereotype.Component;

/**
 * Takes back people who were added: they go, unless something was sent to them meanwhile; those are
 * archived.
 */
@Component
public class AddedPeople implements Undoing {

  public static final String FIELD = "person";

  private final PersonRows rows;

  AddedPeople(PersonRows rows) {
    this.rows = rows;
  }

  @Override
  public boolean takes(String field) {
    return field.equals(FIELD);
  }

  @Override
  public void undo(String field, List<Noted> changes) {
    rows.takeOff(changes.stream().map(Noted::personId).toList());
  }
}
