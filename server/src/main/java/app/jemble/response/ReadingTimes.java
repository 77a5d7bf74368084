package app.jemble.response;

import app.jemble.core.pace.Clocks;
import app.jemble.core.pace.SuggestedTime;
import app.jemble.core.record.PersonId;
import app.jemble.response.ReadingTimeMapper.Moment;
import app.jemble.workspace.WorkspaceService;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;

/** When people read, from what came back of earlier messages. */
@Service
public class ReadingTimes {

  /** The latest responses say enough. */
  private static final int MOST = 20_000;

  /**
   * A time of day to write to some people at.
   *
   * @param time on their own clocks
   * @param responses of theirs that it rests on
   * @param people who gave those
   * @param near how many of those fell within two hours of it
   */
  public record Reading(LocalTime time, int responses, int people, int near) {}

  private final ReadingTimeMapper mapper;
  private final WorkspaceService workspace;

  ReadingTimes(ReadingTimeMapper mapper, WorkspaceService workspace) {
    this.mapper = mapper;
    this.workspace = workspace;
  }

  /**
   * From the responses of these people, leaning on everyone's where they are few; empty when there
   * is too little to say.
   */
  public Optional<Reading> of(List<PersonId> people) {
    ZoneId house = workspace.current().zoneId();
    List<Moment> theirs = mapper.moments(people.toArray(PersonId[]::new), MOST);
    if (theirs.isEmpty()) {
      return Optional.empty();
    }
    Set<PersonId> who = new HashSet<>();
    theirs.forEach(moment -> who.add(moment.personId()));
    return counted(theirs, house)
        .within(counted(mapper.moments(null, MOST), house))
        .map(s -> new Reading(s.time(), s.responses(), who.size(), s.near()));
  }

  private static SuggestedTime counted(List<Moment> moments, ZoneId house) {
    SuggestedTime counted = new SuggestedTime();
    Map<String, ZoneId> zones = new HashMap<>();
    for (Moment moment : moments) {
      ZoneId zone =
          moment.zone() == null
              ? house
              : zones.computeIfAbsent(moment.zone(), name -> Clocks.zone(name, house));
      counted.add(moment.at(), zone);
    }
    return counted;
  }
}
