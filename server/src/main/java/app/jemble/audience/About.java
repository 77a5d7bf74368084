package app.jemble.audience;

import app.jemble.core.record.FieldValue;
import app.jemble.core.record.PersonId;
import app.jemble.core.record.Values;
import java.util.Map;

/**
 * One record of one person.
 *
 * @param words to tell it from that person's others
 */
public record About(long id, PersonId personId, String words, Map<String, FieldValue> fields) {

  /** No record: only what is known of the person. */
  public static final About NOTHING = new About(0, null, "", Map.of());

  /** What it is called alone, for a long list. */
  public About withoutFields() {
    return id == 0 ? NOTHING : new About(id, personId, words, Map.of());
  }

  /** A person's values with those of the record. */
  public Values over(Values person) {
    return id == 0
        ? person
        : field -> {
          FieldValue own = fields.get(field);
          return own == null ? person.get(field) : own;
        };
  }
}
