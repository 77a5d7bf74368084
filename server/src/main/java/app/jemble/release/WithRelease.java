package app.jemble.release;

import app.jemble.mailing.Mailing;

/**
 * What happens with a mailing's release besides the writing of its messages, in its transaction.
 */
public interface WithRelease {

  /** A problem when the mailing cannot be released because of it. */
  void mayRelease(Mailing mailing);

  void released(Mailing mailing);

  void takenBack(Mailing mailing);

  void withdrawn(Mailing mailing);
}
