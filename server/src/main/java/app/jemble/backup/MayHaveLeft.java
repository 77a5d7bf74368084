package app.jemble.backup;

import java.time.Instant;

/** Knows what has not left as far as the database knows. */
public interface MayHaveLeft {

  /**
   * Whether what was to leave until an instant did is not known any more.
   *
   * @return of how many messages
   */
  int doubtDueUntil(Instant until);
}
