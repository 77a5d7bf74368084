package app.jemble.audience;

import app.jemble.cause.Cause;
import app.jemble.consent.Consents;
import app.jemble.core.record.PersonId;
import app.jemble.people.PeopleService;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Begins a look at how people are reached by what a cause writes. */
@Component
class WaysOpening {

  private final PeopleService people;
  private final Consents consents;

  WaysOpening(PeopleService people, Consents consents) {
    this.people = people;
    this.consents = consents;
  }

  /**
   * @param leftOut who is left out by hand
   */
  WaysOpen of(Cause cause, Set<PersonId> leftOut) {
    return new WaysOpen(people, consents, cause.ways(), cause.topicId(), leftOut);
  }
}
