package app.jemble.audience;

import app.jemble.cause.Cause;
import app.jemble.cause.OpenCauses;
import app.jemble.core.reach.Address;
import app.jemble.core.reach.Ways;
import app.jemble.core.record.PersonId;
import app.jemble.departure.OtherWay;
import app.jemble.people.PeopleService;
import app.jemble.people.PersonRecord;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Finds the next way of a message whose own has closed between release and hand-over. */
@Component
class OtherWays implements OtherWay {

  private final OpenCauses causes;
  private final PeopleService people;
  private final WaysOpening opening;

  OtherWays(OpenCauses causes, PeopleService people, WaysOpening opening) {
    this.causes = causes;
    this.people = people;
    this.opening = opening;
  }

  @Override
  public Optional<Address> after(Ways.Shut shut, long causeId, PersonId personId) {
    Cause cause = causes.anybodys(causeId);
    PersonRecord person = cause.ways().inOrder().size() == 1 ? null : people.record(personId);
    if (person == null) {
      return Optional.empty();
    }
    Ways.Found next = opening.of(cause, Set.of()).after(shut, person);
    return next.isReady()
        ? Optional.of(Address.of(next.channel(), person.address(next.channel())))
        : Optional.empty();
  }
}
