package app.jemble.exchange;

import app.jemble.core.record.PersonId;
import java.util.List;

/** What a file says of people who asked not to be written to on a way. */
public interface ConsentsBroughtIn {

  /**
   * Those who are still written to there.
   *
   * @param field one of {@link app.jemble.core.reach.ConsentFields}
   */
  List<PersonId> stillOpen(String field, List<PersonId> people);

  /**
   * Notes that these asked not to be; whoever said so already stays as they are.
   *
   * @param how it was said, in words for people
   * @param act of the history by which it is taken back
   */
  void close(String field, List<PersonId> people, String how, long act);
}
