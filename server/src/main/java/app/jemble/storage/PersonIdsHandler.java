package app.jemble.storage;

import app.jemble.core.record.PersonId;
import org.apache.ibatis.type.MappedTypes;

/** Which people. */
@MappedTypes(PersonId[].class)
public class PersonIdsHandler extends StoredIds<PersonId> {

  public PersonIdsHandler() {
    super(PersonId::new, PersonId::value, PersonId[]::new);
  }
}
