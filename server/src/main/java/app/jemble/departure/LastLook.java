package app.jemble.departure;

import app.jemble.core.record.PersonId;
import java.util.List;
import java.util.Map;

/**
 * Who must not get a mailing's messages any more, asked as they leave. Others know the reasons, so
 * that the outbox leans on no other subject.
 */
public interface LastLook {

  /** Of these people, those who are not to be written to, and why. */
  Map<PersonId, String> notTo(long mailingId, List<PersonId> people);
}
