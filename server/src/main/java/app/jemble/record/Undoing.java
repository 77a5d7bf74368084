package app.jemble.record;

import app.jemble.core.record.PersonId;
import java.util.List;

/**
 * Takes back what is not a field of a person: being put on a list, a task that was made. Whoever
 * notes such a change in the history offers one of these.
 */
public interface Undoing {

  /**
   * A change that was noted.
   *
   * @param personId whose
   * @param before as it was noted, JSON or null
   * @param after as it was noted, JSON or null
   */
  record Noted(PersonId personId, String before, String after) {}

  /** Whether changes of this name are its own. */
  boolean takes(String field);

  /** Takes back all changes of this name in one act. */
  void undo(String field, List<Noted> changes);
}
