package app.jemble.departure;

import app.jemble.core.reach.Address;
import app.jemble.core.reach.Ways;
import app.jemble.core.record.PersonId;
import java.util.Optional;

/**
 * Where a message goes whose way has closed since it was written. Others know the ways of a cause
 * and people's addresses, so that the outbox leans on no other subject.
 */
public interface OtherWay {

  /** The next way of the cause that reaches the person; empty when none does. */
  Optional<Address> after(Ways.Shut shut, long causeId, PersonId personId);
}
