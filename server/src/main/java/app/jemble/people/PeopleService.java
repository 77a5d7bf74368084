package app.jemble.people;

import app.jemble.core.filter.AsOf;
import app.jemble.filter.FilterBody;
import app.jemble.filter.FilterSql;
import app.jemble.filter.ListService;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Service;

/** People: their records, and what they asked of us. */
@Service
public class PeopleService {

  private final PeopleMapper mapper;
  private final ListService lists;

  PeopleService(PeopleMapper mapper, ListService lists) {
    this.mapper = mapper;
    this.lists = lists;
  }

  /**
   * The records of all people a filter picks (none when it is null) and of those picked by hand.
   */
  public List<PersonRecord> records(FilterBody filter, List<Long> picks, AsOf asOf) {
    FilterSql.Fragment condition =
        filter == null ? FilterSql.Fragment.NOBODY : lists.condition(null, filter, asOf);
    return mapper.records(new PeopleQuery(condition, picks.toArray(Long[]::new)));
  }

  /** One person's record, or null. */
  public PersonRecord record(long id) {
    return mapper.records(new PeopleQuery(FilterSql.Fragment.NOBODY, new Long[] {id})).stream()
        .findFirst()
        .orElse(null);
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
}
