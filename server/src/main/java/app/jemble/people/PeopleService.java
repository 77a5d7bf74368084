package app.jemble.people;

import app.jemble.core.filter.AsOf;
import app.jemble.core.filter.Filter;
import app.jemble.core.reach.Reach;
import app.jemble.filter.FilterBody;
import app.jemble.filter.FilterSql;
import app.jemble.people.PeopleMapper.ReachCount;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Service;

/** People: found, counted, listed, and what they asked of us. */
@Service
public class PeopleService {

  private static final int PAGE = 100;

  private final PeopleMapper mapper;
  private final WorkspaceService workspace;
  private final Clock clock;

  PeopleService(PeopleMapper mapper, WorkspaceService workspace, Clock clock) {
    this.mapper = mapper;
    this.workspace = workspace;
    this.clock = clock;
  }

  /** How many people a filter picks, by reach; reaches without people are left out. */
  public Map<Reach, Long> tally(FilterBody filter) {
    Map<Reach, Long> tally = new EnumMap<>(Reach.class);
    for (ReachCount count : mapper.tally(query(filter))) {
      tally.put(count.reach(), count.people());
    }
    return tally;
  }

  /** The next people in order of name, after the given one. */
  List<PersonRow> page(FilterBody filter, Reach reach, String afterKey, Long afterId) {
    return mapper.page(query(filter).withReach(reach).page(afterKey, afterId, PAGE));
  }

  /** The ids of all people a filter picks, of one reach when one is given. */
  public List<Long> ids(FilterBody filter, Reach reach) {
    return mapper.ids(query(filter).withReach(reach));
  }

  /**
   * The records of all people a filter picks (none when it is null) and of those picked by hand.
   */
  public List<PersonRecord> records(FilterBody filter, List<Long> picks) {
    PeopleQuery query =
        filter == null ? PeopleQuery.of(new FilterSql.Fragment("false", List.of())) : query(filter);
    return mapper.records(query.withPicks(picks.toArray(Long[]::new)));
  }

  public Set<Long> whoLeft(long topicId) {
    return Set.copyOf(mapper.whoLeft(topicId));
  }

  /** Takes a person off a topic; once gone, again changes nothing. */
  public void leave(long personId, long topicId, Instant at) {
    mapper.leave(personId, topicId, at);
  }

  /** Puts an address on the do-not-write list; an earlier reason stays. */
  public void doNotWrite(String address, String reason, Instant at, String note) {
    mapper.doNotWrite(address, reason, at, note);
  }

  private PeopleQuery query(FilterBody body) {
    Filter filter = body.toFilter(workspace.fields());
    AsOf asOf = new AsOf(clock.instant(), workspace.current().zoneId());
    return PeopleQuery.of(FilterSql.of(filter, asOf));
  }
}
