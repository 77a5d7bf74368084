package app.jemble.release;

import app.jemble.cause.Cause;

/**
 * What happens with a mailing's release besides the writing of its messages, in its transaction.
 */
public interface WithRelease {

  /** A problem when the mailing cannot be released because of it. */
  void mayRelease(Cause mailing);

  void released(Cause mailing);

  void takenBack(Cause mailing);

  void withdrawn(Cause mailing);
}
