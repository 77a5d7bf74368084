package app.jemble.storage;

import app.jemble.core.house.Kept;
import java.time.Instant;

/** Something of a room that is not kept for ever. */
public interface GrowsOld {

  Kept kind();

  /** How many there are from before an instant: a question that answers a number. */
  Sql older(Instant before);

  /** Lets go of at most so many of them: a statement that changes none when there are none left. */
  Sql letGo(Instant before, int most);

  /** What is to be done when all have gone. */
  default Sql tidy() {
    return Sql.NONE;
  }
}
