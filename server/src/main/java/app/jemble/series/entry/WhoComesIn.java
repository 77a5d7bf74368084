package app.jemble.series.entry;

import app.jemble.core.record.PersonId;
import app.jemble.filter.AskedNow;
import app.jemble.filter.ListService;
import app.jemble.people.PeopleService;
import app.jemble.problem.Problem;
import app.jemble.series.entry.Entering.Coming;
import java.util.Collection;
import java.util.List;
import org.springframework.stereotype.Component;

/** Who is meant, of those whom a colleague lets in. */
@Component
class WhoComesIn {

  private final PeopleService people;
  private final ListService lists;
  private final AskedNow asked;

  WhoComesIn(PeopleService people, ListService lists, AskedNow asked) {
    this.people = people;
    this.lists = lists;
    this.asked = asked;
  }

  /** In order, so that their entries stand side by side in the indexes. */
  List<PersonId> comes(Coming coming) {
    List<PersonId> whom = found(coming).stream().sorted().toList();
    if (whom.isEmpty()) {
      throw Problem.wrong("people", "Pick at least one person.");
    }
    return whom;
  }

  private Collection<PersonId> found(Coming coming) {
    if (coming.picked() != null) {
      return lists.peopleOf(null, coming.picked().filter(), coming.picked().which(), asked.byMe());
    }
    if (coming.filter() != null) {
      return people.ids(coming.filter(), asked.byMe());
    }
    return coming.picks() == null ? List.of() : coming.picks();
  }
}
