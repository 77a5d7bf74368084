package app.jemble.people;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.ServerTest;
import app.jemble.core.filter.AsOf;
import app.jemble.core.filter.Filter;
import app.jemble.core.filter.FilterMatch;
import app.jemble.core.filter.FilterSentence;
import app.jemble.core.filter.FilterSentenceReader;
import app.jemble.core.filter.RandomFilters;
import app.jemble.core.reach.Channel;
import app.jemble.core.reach.Reach;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldType;
import app.jemble.core.record.FieldUse;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.PersonId;
import app.jemble.core.record.Values;
import app.jemble.filter.FilterBody;
import app.jemble.filter.ListRow;
import app.jemble.filter.ListService;
import app.jemble.workspace.WorkspaceService;
import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** Property: for any filter, the database and core pick the same people. */
public class FilterAgreementTest extends ServerTest {

  private static final int TREES = 2000;

  private static final List<String> AROUND =
      List.of(
          """
          insert into office (person_id, name, body, since, until)
          select 1 + id % 90, case id % 3 when 0 then 'Treasurer' when 1 then 'Harbour steward'
                   else 'ÉTÉ %_' end,
                 case id % 2 when 0 then 'Committee' end,
                 case id % 4 when 0 then null else date '2024-02-29' + id::int end,
                 case id % 5 when 0 then date '2026-12-01' end
          from generate_series(1, 120) id""",
          """
          insert into person_list (name, created_at, created_by)
          select name, now(), 1
          from unnest(array['slipway', 'Racing', 'harbour supper', 'or', 'a” or “b']) name""",
          """
          insert into list_member (list_id, person_id)
          select 1 + p % 5, p from generate_series(1, 120) p
          union select 1 + p % 3, p from generate_series(1, 60) p
          on conflict do nothing""");

  private ListService lists;
  private FieldCatalogue fields;
  private AsOf asOf;
  private Map<Long, Values> known;

  @Override
  protected int people() {
    return 400;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void readEveryone() {
    lists = application.getBean(ListService.class);
    WorkspaceService workspace = application.getBean(WorkspaceService.class);
    workspace.addAttribute(
        new Field("keys", "Keys", FieldType.NUMBER, List.of(), Set.of(FieldUse.FILTER)));
    workspace.addAttribute(
        new Field("insured", "Insured", FieldType.FLAG, List.of(), Set.of(FieldUse.FILTER)));
    workspace.addAttribute(
        new Field("checked", "Checked", FieldType.DAY, List.of(), Set.of(FieldUse.FILTER)));
    dirty();
    fields = workspace.fields();
    asOf =
        new AsOf(
            clock.instant(),
            workspace.current().zoneId(),
            DayOfWeek.SUNDAY,
            "orla",
            new PersonId(7),
            false);
    PersonValues values = application.getBean(PersonValues.class);
    Map<Long, Values> merged = new HashMap<>();
    everyone().forEach(p -> merged.put(p.id().value(), values.of(p, fields)));
    known = new KnownPeople(sql, fields, asOf.today()).with(merged);
    assertThat(known).as("the colleagues' own records among them").hasSize(403);
  }

  private List<PersonRecord> everyone() {
    List<PersonRecord> all = new ArrayList<>();
    application
        .getBean(PeopleService.class)
        .eachRecord(FilterBody.EVERYONE, List.of(), asOf, all::add);
    return all;
  }

  /** Gaps, odd writing and edges that generated people do not have. */
  private void dirty() {
    sql.sql(
            """
            update person
            set attributes = jsonb_strip_nulls(jsonb_build_object(
                  'keys', case id % 3 when 0 then id % 7 end,
                  'insured', case id % 4 when 0 then true when 1 then false end,
                  'checked', case id % 5 when 0 then '2024-02-29' when 1 then '2026-01-01' end)),
                source = case id % 6 when 0 then 'Boat  Show' when 1 then 'ÉTÉ %_\\' else source end,
                introduced_by = case when id % 4 = 0 and 1 + (id * 7) % 60 <> id then 1 + (id * 7) % 60 end,
                app_installed = id % 5 = 0,
                organisation_id = case when id % 9 = 0 then 1 else organisation_id end,
                last_visit_at = case id % 11
                  when 0 then '2026-03-28T23:59:59Z'::timestamptz
                  when 1 then '2026-03-29T00:30:00Z'
                  when 2 then '2026-10-25T00:59:00Z'
                  when 3 then '2026-10-24T23:30:00Z'
                  else last_visit_at end
            """)
        .update();
    sql.sql(
            """
            update person set phone = '12', phone_valid = false where id % 8 = 0
            """)
        .update();
    sql.sql(
            """
            insert into way_closed (person_id, channel, closed_at, how)
            select id, (array['EMAIL', 'TEXT', 'APP', 'POST'])[1 + id % 4], now(), 'said so'
            from person where id % 5 in (0, 1)
            """)
        .update();
    sql.sql(
            """
            insert into do_not_write (address_key, reason, since)
            select distinct phone_key, 'by hand', now() from person
            where id % 7 = 0 and phone_key is not null
            """)
        .update();
    // Around people: none, one or several records, and gaps in them.
    for (String statement : AROUND) {
      sql.sql(statement).update();
    }
  }

  @Test
  public void theDatabaseAndCorePickTheSamePeople() {
    RandomFilters trees = new RandomFilters(fields, words(), 20260329);
    int picking = 0;
    for (int i = 0; i < TREES; i++) {
      Filter.Group filter = trees.next();
      String sentence = FilterSentence.of(filter);
      assertThat(FilterSentenceReader.read(sentence, fields)).as(sentence).isEqualTo(filter);
      Set<Long> meant =
          known.entrySet().stream()
              .filter(p -> FilterMatch.holds(filter, p.getValue(), asOf))
              .map(Map.Entry::getKey)
              .collect(Collectors.toSet());
      Set<Long> found = new HashSet<>(found(filter));
      assertThat(found).as("tree %s: %s", i, sentence).isEqualTo(meant);
      picking += meant.isEmpty() || meant.size() == known.size() ? 0 : 1;
    }
    assertThat(picking).as("trees that pick some and not all").isGreaterThan(TREES / 3);
  }

  private List<Long> found(Filter.Group filter) {
    return lists.ids(null, FilterBody.of(filter), ListService.Which.ALL, asOf);
  }

  /** Pieces of what people have, and what nobody has or is hard to quote. */
  private List<String> words() {
    List<String> words =
        new ArrayList<>(
            List.of(
                "text message",
                "App",
                "E-mail",
                "ete %_",
                "O'",
                "ß",
                "\\",
                "x",
                "САША",
                "boat  show",
                "a” or “b"));
    List<Field> texts =
        fields.all(FieldUse.FILTER).stream().filter(f -> f.type() == FieldType.TEXT).toList();
    Random random = new Random(1);
    for (int i = 0; i < 60; i++) {
      Values person = known.get(1L + random.nextInt(known.size()));
      FieldValue value = person.get(texts.get(random.nextInt(texts.size())).name());
      if (value instanceof FieldValue.Text has) {
        words.add(has.text());
        words.add(has.text().substring(0, 1 + has.text().length() / 3));
      }
    }
    words.removeIf(String::isBlank);
    return words;
  }

  /** Those picked by nothing but a record around them are counted another way. */
  @Test
  public void theTallySaysHowManyOfEachReachMatch() {
    sql.sql("update person set archived_at = now() where id % 17 = 3").update();
    try {
      List<Filter.Group> filters = new ArrayList<>();
      RandomFilters trees = new RandomFilters(fields, words(), 7);
      for (int i = 0; i < 400; i++) {
        Filter.Group tree = trees.next();
        filters.addAll(around(tree));
        if (i % 8 == 0) {
          filters.add(tree);
        }
      }
      assertThat(filters).hasSizeGreaterThan(100);
      for (Filter.Group filter : filters) {
        Map<String, Long> byReach = new HashMap<>();
        for (Reach reach : Reach.values()) {
          long people =
              lists.ids(null, FilterBody.of(filter), ListService.Which.of(reach), asOf).size();
          if (people > 0) {
            byReach.put(reach.name(), people);
          }
        }
        assertThat(lists.tally(null, FilterBody.of(filter), ListService.Which.ALL, asOf))
            .as(FilterSentence.of(filter))
            .isEqualTo(byReach);
      }
    } finally {
      sql.sql("update person set archived_at = null").update();
    }
  }

  /** Each record around people that a filter asks for, asked for alone. */
  private static List<Filter.Group> around(Filter.Group filter) {
    List<Filter.Group> alone = new ArrayList<>();
    for (Filter part : filter.parts()) {
      if (part instanceof Filter.Has has) {
        alone.add(new Filter.Group(Filter.Match.ALL, List.of(has)));
      } else if (part instanceof Filter.Group group) {
        alone.addAll(around(group));
      }
    }
    return alone;
  }

  /**
   * Every column can be shown and sorted by, each way, and every page goes on where the last ended.
   */
  @Test
  public void pagesHoldEveryoneOnceInAnyOrder() {
    List<String> columns = new ArrayList<>();
    fields.all(FieldUse.COLUMN).forEach(f -> columns.add(f.name()));
    List<String> sorts = new ArrayList<>(columns);
    sorts.add(null);
    for (String sortBy : sorts) {
      for (boolean descending : new boolean[] {false, true}) {
        ListService.Shape shape = new ListService.Shape(columns, sortBy, descending);
        List<ListRow> all = new ArrayList<>();
        List<ListRow> page = page(shape, null);
        while (!page.isEmpty()) {
          all.addAll(page);
          ListRow last = page.get(page.size() - 1);
          page = page(shape, new ListService.After(last.key(), last.id()));
        }
        assertThat(all.stream().map(ListRow::id).distinct().count())
            .as("%s %s", sortBy, descending)
            .isEqualTo(known.size());
        assertThat(all).as("%s %s", sortBy, descending).hasSize(known.size());
        assertThat(all.get(0).cells()).hasSize(columns.size());
      }
    }
  }

  private List<ListRow> page(ListService.Shape shape, ListService.After after) {
    return lists.page(null, FilterBody.EVERYONE, ListService.Which.ALL, shape, after, asOf);
  }

  /** The list's reach is written in SQL once more; it must be core's. */
  @Test
  public void theReachOfTheListIsCores() {
    Map<Long, PersonRecord> records = new HashMap<>();
    everyone().forEach(p -> records.put(p.id().value(), p));
    Set<Reach> seen = new HashSet<>();
    for (Reach reach : Reach.values()) {
      ListService.Which ofReach = ListService.Which.of(reach);
      for (long id : lists.ids(null, FilterBody.EVERYONE, ofReach, asOf)) {
        PersonRecord p = records.remove(id);
        Reach.Facts facts =
            new Reach.Facts(p.email(), p.askedNot(), false, p.doNotWrite(), false, false);
        assertThat(Reach.by(Channel.EMAIL, facts)).as(p.name() + " " + p.email()).isEqualTo(reach);
        seen.add(reach);
      }
    }
    assertThat(records).isEmpty();
    assertThat(seen)
        .contains(Reach.READY, Reach.NO_ADDRESS, Reach.NOT_VALID, Reach.ASKED_NOT)
        .contains(Reach.DO_NOT_WRITE);
  }
}
