package app.jemble.storage;

import app.jemble.core.record.PersonId;
import org.apache.ibatis.type.MappedTypes;

/** Which person. */
@MappedTypes(PersonId.class)
public class PersonIdHandler extends StoredId<PersonId> {

  public PersonIdHandler() {
    super(PersonId::new, PersonId::value);
  }
}
