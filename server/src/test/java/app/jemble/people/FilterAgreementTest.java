package app.jemble.people;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.ServerTest;
import app.jemble.core.filter.AsOf;
import app.jemble.core.filter.Filter;
import app.jemble.core.filter.FilterMatch;
import app.jemble.core.filter.FilterSentence;
import app.jemble.core.filter.Operator;
import app.jemble.core.reach.Reach;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldType;
import app.jemble.core.record.FieldUse;
import app.jemble.core.record.Values;
import app.jemble.filter.FilterBody;
import app.jemble.filter.FilterBody.ConditionBody;
import app.jemble.workspace.WorkspaceService;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** Property: for any filter, the database and core pick the same people. */
public class FilterAgreementTest extends ServerTest {

  private static final int TREES = 2000;

  private PeopleService service;
  private FieldCatalogue fields;
  private AsOf asOf;
  private final Map<Long, Values> known = new HashMap<>();

  @Override
  protected int people() {
    return 400;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void readEveryone() {
    service = application.getBean(PeopleService.class);
    WorkspaceService workspace = application.getBean(WorkspaceService.class);
    workspace.addAttribute(
        new Field("keys", "Keys", FieldType.NUMBER, List.of(), Set.of(FieldUse.FILTER)));
    workspace.addAttribute(
        new Field("insured", "Insured", FieldType.FLAG, List.of(), Set.of(FieldUse.FILTER)));
    workspace.addAttribute(
        new Field("checked", "Checked", FieldType.DAY, List.of(), Set.of(FieldUse.FILTER)));
    dirty();
    fields = workspace.fields();
    asOf = new AsOf(clock.instant(), workspace.current().zoneId());
    PersonValues values = application.getBean(PersonValues.class);
    for (PersonRecord person : service.records(FilterBody.EVERYONE, List.of())) {
      known.put(person.id(), values.of(person, fields));
    }
    assertThat(known).hasSize(400);
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
                organisation_id = case when id % 9 = 0 then 1 else organisation_id end,
                last_visit_at = case id % 11
                  when 0 then '2026-03-28T23:59:59Z'::timestamptz
                  when 1 then '2026-03-29T00:30:00Z'
                  when 2 then '2026-10-25T00:59:00Z'
                  when 3 then '2026-10-24T23:30:00Z'
                  else last_visit_at end
            """)
        .update();
  }

  @Test
  public void theDatabaseAndCorePickTheSamePeople() {
    Random random = new Random(20260329);
    int picking = 0;
    for (int i = 0; i < TREES; i++) {
      FilterBody body = tree(random, 0);
      Filter filter = body.toFilter(fields);
      Set<Long> meant =
          known.entrySet().stream()
              .filter(p -> FilterMatch.holds(filter, p.getValue(), asOf))
              .map(Map.Entry::getKey)
              .collect(Collectors.toSet());
      Set<Long> found = new HashSet<>(service.ids(body, null));
      assertThat(found).as("tree %s: %s", i, FilterSentence.of(filter)).isEqualTo(meant);
      picking += meant.isEmpty() || meant.size() == known.size() ? 0 : 1;
    }
    assertThat(picking).as("trees that pick some and not all").isGreaterThan(TREES / 3);
  }

  private FilterBody tree(Random random, int depth) {
    Filter.Match match = Filter.Match.values()[random.nextInt(3)];
    List<ConditionBody> conditions =
        IntStream.range(0, random.nextInt(4)).mapToObj(c -> condition(random)).toList();
    List<FilterBody> groups =
        depth >= 2
            ? List.of()
            : IntStream.range(0, random.nextInt(3)).mapToObj(g -> tree(random, depth + 1)).toList();
    return new FilterBody(match, conditions, groups);
  }

  private ConditionBody condition(Random random) {
    List<Field> all = fields.all(FieldUse.FILTER);
    Field field = all.get(random.nextInt(all.size()));
    List<Operator> operators = Operator.of(field.type());
    Operator operator = operators.get(random.nextInt(operators.size()));
    List<String> values = new ArrayList<>();
    switch (operator.takes()) {
      case NOTHING -> {}
      case ONE -> values.add(value(field, random));
      case TWO -> {
        values.add(value(field, random));
        values.add(value(field, random));
      }
      case SOME ->
          IntStream.range(0, 1 + random.nextInt(3)).forEach(n -> values.add(word(field, random)));
      case DAYS -> values.add(Integer.toString(random.nextInt(700)));
      case MONTH -> values.add(Integer.toString(1 + random.nextInt(12)));
    }
    return new ConditionBody(field.name(), operator, values);
  }

  private String value(Field field, Random random) {
    return switch (field.type()) {
      case NUMBER, MONEY -> any(random, "0", "3", "42.00", "60", "-1", "1e2");
      case DAY, INSTANT ->
          any(random, "2026-03-29", "2026-10-25", "2024-02-29", "2026-01-01", "1970-06-01")
              .formatted();
      default -> text(field, random);
    };
  }

  /** A piece of somebody's value, or one that nobody has. */
  private String text(Field field, Random random) {
    String odd = any(random, "ete %_", "O'", "ß", "\\", "x", "САША", "boat  show");
    if (random.nextInt(4) == 0) {
      return odd;
    }
    long id = 1 + random.nextInt(known.size());
    return known.get(id).get(field.name()) instanceof app.jemble.core.record.FieldValue.Text has
        ? has.text().substring(0, 1 + random.nextInt(has.text().length())).strip().isEmpty()
            ? odd
            : has.text().substring(0, 1 + random.nextInt(has.text().length())).strip() + ""
        : odd;
  }

  private static String word(Field field, Random random) {
    if (field.type() == FieldType.TAGS) {
      return any(random, "slipway", "Racing", "YOUTH", "harbour supper", "no such tag");
    }
    List<String> choices = field.choices();
    return random.nextInt(8) == 0
        ? "no such choice"
        : choices.get(random.nextInt(choices.size())).toUpperCase(java.util.Locale.ROOT);
  }

  private static String any(Random random, String... words) {
    return words[random.nextInt(words.length)];
  }

  @Test
  public void theTallyAddsUpToWhoMatches() {
    Random random = new Random(7);
    for (int i = 0; i < 50; i++) {
      FilterBody body = tree(random, 0);
      long tallied = service.tally(body).values().stream().mapToLong(Long::longValue).sum();
      assertThat(tallied).isEqualTo(service.ids(body, null).size());
    }
  }

  @Test
  public void pagesHoldEveryoneOnceInOrderOfName() {
    List<PersonRow> all = new ArrayList<>();
    List<PersonRow> page = service.page(FilterBody.EVERYONE, null, null, null);
    while (!page.isEmpty()) {
      all.addAll(page);
      PersonRow last = page.get(page.size() - 1);
      page = service.page(FilterBody.EVERYONE, null, last.nameKey(), last.id());
    }
    assertThat(all.stream().map(PersonRow::id).distinct().count()).isEqualTo(known.size());
    assertThat(all).hasSize(known.size());
  }

  /** The list's reach is written in SQL once more; it must be core's. */
  @Test
  public void theReachOfTheListIsCores() {
    Map<Long, PersonRecord> records = new HashMap<>();
    service.records(FilterBody.EVERYONE, List.of()).forEach(p -> records.put(p.id(), p));
    Set<Reach> seen = new HashSet<>();
    for (Reach reach : Reach.values()) {
      for (long id : service.ids(FilterBody.EVERYONE, reach)) {
        PersonRecord p = records.remove(id);
        Reach.Facts facts =
            new Reach.Facts(p.email(), p.askedNot(), false, p.doNotWrite(), false, false);
        assertThat(Reach.byEmail(facts)).as(p.name() + " " + p.email()).isEqualTo(reach);
        seen.add(reach);
      }
    }
    assertThat(records).isEmpty();
    assertThat(seen)
        .contains(Reach.READY, Reach.NO_ADDRESS, Reach.NOT_VALID, Reach.ASKED_NOT)
        .contains(Reach.DO_NOT_WRITE);
  }
}
