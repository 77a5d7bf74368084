package app.jemble.response;

import app.jemble.core.record.PersonId;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Service;

/** Who is away, as their automatic replies say. */
@Service
public class AwayPeople {

  private final ResponseMapper mapper;
  private final WorkspaceService workspace;
  private final Clock clock;

  AwayPeople(ResponseMapper mapper, WorkspaceService workspace, Clock clock) {
    this.mapper = mapper;
    this.workspace = workspace;
    this.clock = clock;
  }

  /** Of these people, those who are away today. */
  public Set<PersonId> among(List<PersonId> people) {
    LocalDate today = LocalDate.ofInstant(clock.instant(), workspace.current().zoneId());
    return Set.copyOf(mapper.away(people.toArray(PersonId[]::new), today));
  }
}
