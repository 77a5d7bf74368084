package app.jemble.audience;

import app.jemble.cause.Cause;
import app.jemble.core.record.Values;
import app.jemble.people.PersonRecord;
import java.util.Optional;

/**
 * What a standing mailing says to somebody beside what is known of them: how many years it is.
 * Others know when days come round, so that the audience leans on no other subject.
 */
public interface ComingTurns {

  /**
   * The next time for somebody; empty when the cause is of no such kind, or it never comes.
   *
   * @param values what is known of the person, the sender and the house
   */
  Optional<About> next(Cause cause, PersonRecord person, Values values);
}
