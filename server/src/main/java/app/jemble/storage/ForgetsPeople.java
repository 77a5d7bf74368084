package app.jemble.storage;

import java.util.List;

/** A room that keeps something of people, and forgets it when one of them is erased. */
public interface ForgetsPeople {

  /** What is done to its rows, in this order; some may belong to causes of others' alone. */
  List<Sql> forget(Forgotten who);

  /**
   * What keeps it from forgetting now, since somebody is at work with it: a question that answers
   * true or false, and what to say then.
   */
  record Busy(Sql question, String words) {}

  default List<Busy> busy(Forgotten who) {
    return List.of();
  }
}
