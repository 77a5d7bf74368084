package app.jemble.people;

import app.jemble.core.filter.AsOf;
import app.jemble.core.reach.Channel;
import app.jemble.core.record.PersonId;
import app.jemble.filter.FilterBody;
import app.jemble.filter.FilterSql;
import app.jemble.filter.ListService;
import app.jemble.filter.Selection;
import app.jemble.pool.OnBehalf;
import app.jemble.storage.Sql;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

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
   * Reads the records of all people a filter picks (none when it is null) and of those picked by
   * hand, one after another in order of name.
   */
  @Transactional(readOnly = true)
  public void eachRecord(
      FilterBody filter, List<PersonId> picks, AsOf asOf, Consumer<PersonRecord> reader) {
    mapper.eachRecord(
        PeopleSql.records(whom(filter, picks, asOf)),
        context -> reader.accept(context.getResultObject()));
  }

  /** How many {@link #eachRecord} reads. */
  public long count(FilterBody filter, List<PersonId> picks, AsOf asOf) {
    return mapper.count(PeopleSql.count(whom(filter, picks, asOf)));
  }

  /** The ids of all people a filter picks. */
  public Set<PersonId> ids(FilterBody filter, AsOf asOf) {
    return Set.copyOf(lists.peopleOf(null, filter, ListService.Which.ALL, asOf));
  }

  /** The ids of those whom a screen means, in the order of the list. */
  public List<PersonId> ids(Selection who, AsOf asOf) {
    return lists.peopleOf(null, who.filter(), who.which(), asOf);
  }

  /**
   * Whom a filter picks but for some.
   *
   * @param some whether a person {@code p} is one of them
   */
  public List<PersonId> idsBut(FilterBody filter, AsOf asOf, Sql some) {
    return lists.peopleBut(filter, asOf, some);
  }

  /** Of these people, those whom a filter picks. */
  public Set<PersonId> among(List<PersonId> people, FilterBody filter, AsOf asOf) {
    return Set.copyOf(lists.peopleOf(null, filter, ListService.Which.people(people), asOf));
  }

  private Sql whom(FilterBody filter, List<PersonId> picks, AsOf asOf) {
    PersonId[] ids = picks.toArray(PersonId[]::new);
    return filter == null
        ? PeopleSql.of(whose(asOf), PeopleSql.picked(ids))
        : PeopleSql.of(whose(asOf), PeopleSql.pickedBy(lists.condition(null, filter, asOf), ids));
  }

  /** Whom the one who asks sees, however they are picked. */
  private FilterSql.Fragment whose(AsOf asOf) {
    return lists.condition(null, FilterBody.EVERYONE, asOf);
  }

  /** The records of these people, in order of name. */
  public List<PersonRecord> records(List<PersonId> ids) {
    return mapper.records(PeopleSql.records(PeopleSql.picked(ids.toArray(PersonId[]::new))));
  }

  /** The time zones of these people, as they are written; of those who have one. */
  public Map<PersonId, String> timeZones(List<PersonId> ids) {
    return mapper.timeZones(ids.toArray(PersonId[]::new)).stream()
        .collect(Collectors.toMap(PeopleMapper.InZone::id, PeopleMapper.InZone::timeZone));
  }

  /** One person's record, or null. */
  public PersonRecord record(PersonId id) {
    return records(List.of(id)).stream().findFirst().orElse(null);
  }

  /** Another for each who sees their own people only, and when these are others; else empty. */
  public String whomOneSees() {
    return OnBehalf.owner().map(owner -> owner + " " + mapper.mark()).orElse("");
  }

  /** Somebody with an address, to show things by; null when there is nobody. */
  public PersonId somebody() {
    return mapper.somebody();
  }

  /** Postal addresses from which a letter came back, by person. */
  public Map<PersonId, Set<String>> lettersCameBack() {
    return mapper.cameBack().stream()
        .collect(
            Collectors.groupingBy(
                PeopleMapper.CameBack::personId,
                Collectors.mapping(PeopleMapper.CameBack::address, Collectors.toSet())));
  }

  /** Numbers on the do-not-write list, as they are dialled. */
  public Set<String> numbersNotToWrite() {
    return Set.copyOf(mapper.numbersNotToWrite());
  }

  /** Those of whose devices with the app all are on the do-not-write list. */
  public Set<PersonId> appsNotToWrite() {
    return Set.copyOf(mapper.barredOn(Channel.APP));
  }
}
