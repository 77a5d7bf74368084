package app.jemble.plan;

import app.jemble.cause.Cause;
import app.jemble.core.pace.Clocks;
import app.jemble.core.pace.Collisions;
import app.jemble.core.record.PersonId;
import java.util.List;

/** Those of a draft's audience who can be written to: for them a plan is made. */
public interface ReadyReaders {

  /**
   * What a plan needs to know of them.
   *
   * @param clocks where they are, in the order in which they are written to
   * @param collisions what they have waiting in other mailings
   */
  record Ready(Clocks clocks, Collisions collisions) {}

  /** As they were found last, whatever was written since. */
  Ready lately(Cause mailing);

  /** Their ids, as the draft is now. */
  List<PersonId> people(Cause mailing);
}
