package app.jemble.filter;

import app.jemble.core.filter.AsOf;
import app.jemble.core.filter.Filter;
import app.jemble.core.filter.FilterException;
import app.jemble.core.reach.Reach;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldUse;
import app.jemble.core.record.PersonId;
import app.jemble.core.record.Related;
import app.jemble.storage.Sql;
import app.jemble.workspace.WorkspaceService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import org.apache.ibatis.cursor.Cursor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lists of people and of the records around them: counted, paged, picked from. */
@Service
public class ListService {

  /** So many rows a page. */
  public static final int PAGE = 100;

  static final int MOST_COLUMNS = 48;

  /**
   * What is shown of a list, and in which order.
   *
   * @param columns the names of fields
   * @param sortBy the name of a field; null sorts people by name
   * @param descending greatest first
   */
  public record Shape(List<String> columns, String sortBy, boolean descending) {}

  /**
   * Where a page begins: after this record.
   *
   * @param key what that record is sorted by; null when it has no value
   */
  public record After(String key, long id) {}

  private final ListMapper mapper;
  private final WorkspaceService workspace;

  ListService(ListMapper mapper, WorkspaceService workspace) {
    this.mapper = mapper;
    this.workspace = workspace;
  }

  /** The next records in the order of the list, after the given one. */
  public List<ListRow> page(
      Related kind, FilterBody filter, Which which, Shape shape, After after, AsOf asOf) {
    ListQuery page =
        query(kind, filter, which, asOf)
            .page(
                columns(kind, shape),
                order(kind, shape, asOf),
                after == null ? null : after.key(),
                after == null ? null : after.id(),
                PAGE);
    return mapper.page(ListSql.page(page));
  }

  /** What a list would show of one person, in as many fields as there are. */
  public List<String> cells(PersonId person, boolean archived, List<Field> fields, AsOf asOf) {
    Which only = new Which(null, List.of(person.value()), null, archived);
    ListQuery one =
        query(null, FilterBody.EVERYONE, only, asOf)
            .page(fields, ListSql.order(null, null, false, asOf), null, null, 1);
    return mapper.page(ListSql.page(one)).get(0).cells();
  }

  /** Gives each person that a filter picks to a taker, in the order of the list, as a stream. */
  @Transactional(readOnly = true)
  public void forEach(
      FilterBody filter, Which which, Shape shape, AsOf asOf, Consumer<ListRow> taker) {
    ListQuery all =
        query(null, filter, which, asOf)
            .page(columns(null, shape), order(null, shape, asOf), null, null, Integer.MAX_VALUE);
    try (Cursor<ListRow> rows = mapper.stream(ListSql.page(all))) {
      rows.forEach(taker);
    } catch (IOException closing) {
      throw new UncheckedIOException(closing);
    }
  }

  /** The fields of the columns that are shown; a problem at the first that cannot be. */
  public List<Field> columns(Related kind, Shape shape) {
    List<String> columns = shape.columns() == null ? List.of() : shape.columns();
    if (columns.size() > MOST_COLUMNS) {
      throw new FilterException("columns", "At most " + MOST_COLUMNS + " columns are shown.");
    }
    return columns.stream().map(c -> column(kind, c)).toList();
  }

  private ListSql.Order order(Related kind, Shape shape, AsOf asOf) {
    Field sortBy = shape.sortBy() == null ? null : column(kind, shape.sortBy());
    return ListSql.order(kind, sortBy, shape.descending(), asOf);
  }

  /** How many records a filter picks, split by what a tally of such records says. */
  public Map<String, Long> tally(Related kind, FilterBody filter, Which which, AsOf asOf) {
    return parts(query(kind, filter, which, asOf));
  }

  /** How many of the people whom a filter picks have a value; null for none. */
  public record ValueShare(@Schema(nullable = true) String value, long people) {}

  /** What people have in a field that can be set, the commonest values first. */
  public List<ValueShare> values(Field field, FilterBody filter, Which which, AsOf asOf, int most) {
    return mapper.tally(ListSql.values(query(null, filter, which, asOf), field, most)).stream()
        .map(part -> new ValueShare(part.part(), part.records()))
        .toList();
  }

  /** The ids of all records a filter picks. */
  public List<Long> ids(Related kind, FilterBody filter, Which which, AsOf asOf) {
    return mapper.ids(ListSql.ids(query(kind, filter, which, asOf)));
  }

  /** The people whom the records belong to, once each. */
  public List<PersonId> peopleOf(Related kind, FilterBody filter, Which which, AsOf asOf) {
    ListQuery query = query(kind, filter, which, asOf);
    return mapper.people(kind == null ? ListSql.ids(query) : ListSql.peopleOf(query));
  }

  /**
   * The people a filter picks but for some.
   *
   * @param some whether a person {@code p} is one of them
   */
  public List<PersonId> peopleBut(FilterBody filter, AsOf asOf, Sql some) {
    return mapper.people(ListSql.peopleBut(query(null, filter, Which.ALL, asOf), some));
  }

  /** A filter's condition in SQL. */
  public FilterSql.Fragment condition(Related kind, FilterBody filter, AsOf asOf) {
    Filter.Group asked = read(kind, filter);
    return FilterSql.of(kind, kind == null ? asOf.ofThose(asked) : asked, asOf);
  }

  /** The fields of people, or of the records of a kind. */
  public FieldCatalogue fields(Related kind) {
    return kind == null ? workspace.fields() : workspace.fields().around(kind);
  }

  ListQuery query(Related kind, FilterBody body, Which which, AsOf asOf) {
    ListQuery query = ListQuery.of(kind, condition(kind, body, asOf), asOf);
    return query.of(
        which.reach() == null ? null : which.reach().name(),
        array(which.picks()),
        array(which.leftOut()),
        which.archived());
  }

  private static Long[] array(List<Long> ids) {
    return ids == null ? null : ids.toArray(Long[]::new);
  }

  private Filter.Group read(Related kind, FilterBody body) {
    return kind == null
        ? body.toFilter(workspace.fields())
        : body.toFilter(kind, workspace.fields());
  }

  Map<String, Long> parts(ListQuery query) {
    Map<String, Long> parts = new LinkedHashMap<>();
    for (ListMapper.Part part : mapper.tally(ListSql.tally(query))) {
      parts.put(part.part(), part.records());
    }
    return parts;
  }

  /** The greatest id of a person, up to which a count in slices goes. */
  long lastPerson() {
    return mapper.lastPerson();
  }

  private Field column(Related kind, String name) {
    return fields(kind)
        .find(name)
        .filter(f -> f.allows(FieldUse.COLUMN) || f.name().equals("name"))
        .orElseThrow(
            () ->
                new FilterException("columns", "There is no column named “" + name + "” to show."));
  }

  /**
   * Which of the records that a filter picks.
   *
   * @param reach only people of this reach; null for all
   * @param picks only these; null for all
   * @param leftOut without these; null for none
   * @param archived those put away, instead of the others
   */
  public record Which(Reach reach, List<Long> picks, List<Long> leftOut, boolean archived) {
    public static final Which ALL = new Which(null, null, null, false);

    public static Which of(Reach reach) {
      return new Which(reach, null, null, false);
    }

    public static Which people(Collection<PersonId> people) {
      return new Which(null, people.stream().map(PersonId::value).toList(), null, false);
    }
  }
}
