package app.jemble.exchange;

import app.jemble.core.record.PersonId;
import java.util.List;

/**
 * What becomes of people who were brought in, besides that they are on record. Others know what
 * they come into, so that bringing in leans on no other subject.
 */
public interface BroughtIn {

  /** A problem when there is no such series that the colleague may see. */
  void mustBeOpen(long series);

  /**
   * They come into a series, as far as they are not in it.
   *
   * @param act of the history that brings them in, and takes them out when it is taken back
   */
  void comeInto(long series, List<PersonId> people, String cameBy, long act);
}
