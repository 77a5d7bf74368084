package app.jemble.filter;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.ServerTest;
import app.jemble.core.filter.AsOf;
import app.jemble.core.filter.Filter;
import app.jemble.core.filter.FilterMatch;
import app.jemble.core.filter.FilterSentence;
import app.jemble.core.filter.RandomFilters;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldUse;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.PersonId;
import app.jemble.core.record.Related;
import app.jemble.core.record.Values;
import app.jemble.workspace.WorkspaceService;
import java.math.BigDecimal;
import java.sql.Timestamp;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Lists of quotes, tasks and events: picked as core picks, counted, paged, and their people. */
public class RecordListTest extends ServerTest {

  private static final int TREES = 400;

  private static final Map<Related, String> QUESTIONS =
      Map.of(
          Related.QUOTE,
          "select q.*, a.login as owner from quote q left join account a on a.id = q.owner_id",
          Related.TASK,
          """
          select t.*, t.done_at is not null as done, a.login as owner
          from task t left join account a on a.id = t.owner_id""",
          Related.EVENT,
          """
          select a.id, a.person_id, e.name, e.starts_at as starts, e.place, a.state as attendance
          from attendance a join event e on e.id = a.event_id""");

  private ListService lists;
  private AsOf asOf;

  @Override
  protected int people() {
    return 400;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void prepare() {
    lists = application.getBean(ListService.class);
    WorkspaceService workspace = application.getBean(WorkspaceService.class);
    asOf =
        new AsOf(
            clock.instant(),
            workspace.current().zoneId(),
            DayOfWeek.MONDAY,
            "tomas",
            new PersonId(7),
            false);
    sql.sql("update task set due_on = null where id % 5 = 0").update();
    sql.sql("update task set owner_id = null where id % 7 = 0").update();
    sql.sql("update quote set owner_id = null, sent_on = null where id % 6 = 0").update();
    sql.sql("update event set place = null where id = 2").update();
  }

  @DataProvider
  public Object[][] kinds() {
    return new Object[][] {{Related.QUOTE}, {Related.TASK}, {Related.EVENT}};
  }

  private Map<Long, Values> known(Related kind) {
    Map<Long, Values> known = new HashMap<>();
    FieldCatalogue fields = FieldCatalogue.of(kind);
    for (Map<String, Object> row : sql.sql(QUESTIONS.get(kind)).query().listOfRows()) {
      Map<String, FieldValue> values = new HashMap<>();
      row.forEach(
          (column, value) ->
              fields.find(column).ifPresent(f -> values.put(column, value(f, value, row))));
      known.put(((Number) row.get("id")).longValue(), Values.of(values));
    }
    return known;
  }

  private static FieldValue value(Field field, Object value, Map<String, Object> row) {
    if (value == null) {
      return FieldValue.EMPTY;
    }
    return switch (field.type()) {
      case MONEY -> FieldValue.money((BigDecimal) value, row.get("currency").toString());
      case DAY -> FieldValue.day(LocalDate.parse(value.toString()));
      case INSTANT -> FieldValue.moment(((Timestamp) value).toInstant());
      case FLAG -> new FieldValue.Flag((Boolean) value);
      default -> FieldValue.text(value.toString());
    };
  }

  @Test(dataProvider = "kinds")
  public void theDatabaseAndCorePickTheSameRecords(Related kind) {
    Map<Long, Values> known = known(kind);
    assertThat(known).hasSizeGreaterThan(5);
    List<String> words = List.of("kit", "Slipway day", "Q-2", "WORKSHOP", "the", "”", "%");
    RandomFilters trees = new RandomFilters(FieldCatalogue.of(kind), words, kind.ordinal());
    int picking = 0;
    for (int i = 0; i < TREES; i++) {
      Filter.Group filter = withoutRelated(trees.next());
      Set<Long> meant =
          known.entrySet().stream()
              .filter(r -> FilterMatch.holds(filter, r.getValue(), asOf))
              .map(Map.Entry::getKey)
              .collect(Collectors.toSet());
      FilterBody body = FilterBody.of(filter);
      List<Long> found = lists.ids(kind, body, ListService.Which.ALL, asOf);
      assertThat(new HashSet<>(found)).as(FilterSentence.of(filter)).isEqualTo(meant);
      long counted =
          lists.tally(kind, body, ListService.Which.ALL, asOf).values().stream()
              .mapToLong(Long::longValue)
              .sum();
      assertThat(counted).as("the tally adds up").isEqualTo(meant.size());
      picking += meant.isEmpty() || meant.size() == known.size() ? 0 : 1;
    }
    assertThat(picking).isGreaterThan(TREES / 10);
  }

  /** Only people have records around them. */
  private static Filter.Group withoutRelated(Filter.Group group) {
    List<Filter> parts = new ArrayList<>();
    for (Filter part : group.parts()) {
      if (part instanceof Filter.Group inner) {
        parts.add(withoutRelated(inner));
      } else if (part instanceof Filter.Condition) {
        parts.add(part);
      }
    }
    return new Filter.Group(group.match(), parts);
  }

  @Test(dataProvider = "kinds")
  public void pagesHoldEveryRecordOnceInAnyOrder(Related kind) {
    int all = known(kind).size();
    List<String> columns =
        FieldCatalogue.of(kind).all(FieldUse.COLUMN).stream().map(Field::name).toList();
    for (String sortBy : columns) {
      for (boolean descending : new boolean[] {false, true}) {
        ListService.Shape shape = new ListService.Shape(columns, sortBy, descending);
        Set<Long> seen = new HashSet<>();
        List<ListRow> page = page(kind, shape, null);
        int rows = 0;
        while (!page.isEmpty()) {
          page.forEach(r -> seen.add(r.id()));
          rows += page.size();
          ListRow last = page.get(page.size() - 1);
          page = page(kind, shape, new ListService.After(last.key(), last.id()));
        }
        assertThat(seen).as("%s %s", sortBy, descending).hasSize(all);
        assertThat(rows).as("%s %s", sortBy, descending).isEqualTo(all);
      }
    }
  }

  private List<ListRow> page(Related kind, ListService.Shape shape, ListService.After after) {
    return lists.page(kind, FilterBody.EVERYONE, ListService.Which.ALL, shape, after, asOf);
  }

  @Test(dataProvider = "kinds")
  public void theirPeopleAreEachOnce(Related kind) {
    List<PersonId> people = lists.peopleOf(kind, FilterBody.EVERYONE, ListService.Which.ALL, asOf);
    assertThat(people).doesNotHaveDuplicates();
    String table = kind == Related.EVENT ? "attendance" : kind.one();
    long expected =
        sql.sql("select count(distinct person_id) from " + table).query(Long.class).single();
    assertThat(people).hasSize((int) expected);
  }

  @Test
  public void whoIsArchivedTakesTheirRecordsOutOfTheLists() {
    int before = lists.ids(Related.QUOTE, FilterBody.EVERYONE, ListService.Which.ALL, asOf).size();
    long owner = sql.sql("select min(person_id) from quote").query(Long.class).single();
    sql.sql("update person set archived_at = now() where id = ?").param(owner).update();
    assertThat(lists.ids(Related.QUOTE, FilterBody.EVERYONE, ListService.Which.ALL, asOf))
        .hasSizeLessThan(before);
    sql.sql("update person set archived_at = null where id = ?").param(owner).update();
  }
}
