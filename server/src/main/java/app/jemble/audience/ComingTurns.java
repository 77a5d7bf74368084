package app.jemble.audience;

import app.jemble.cause.Cause;
import app.jemble.core.record.PersonId;
import java.util.Optional;

/**
 * What a standing mailing says to somebody beside what is known of them: how many years it is.
 * Others know when days come round, so that the audience leans on no other subject.
 */
public interface ComingTurns {

  /** The next time for somebody; empty when the cause is of no such kind, or it never comes. */
  Optional<About> next(Cause cause, PersonId person);
}
