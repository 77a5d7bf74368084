package app.jemble.bench;

import app.jemble.core.filter.AsOf;
import app.jemble.filter.FilterBody;
import app.jemble.filter.ListService;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/**
 * A million people: a filter's tally at the API; its SQL, as the application makes and reads it,
 * next to the same question written by hand; the first page and the next.
 */
final class PeopleBench {

  private static final int PEOPLE = 1_000_000;

  /** The colleagues are on record themselves. */
  private static final int COLLEAGUES = 3;

  private static final AsOf AS_OF =
      new AsOf(Instant.now(), ZoneId.of("Europe/London"), DayOfWeek.MONDAY, "orla", null, false);

  private static final int WARM_UPS = 2;
  private static final int RUNS = 7;

  /** The tally of those who match, with no more tables than the question needs. */
  private static final String BY_HAND =
      """
      select case when p.email is null then 1 when not p.email_valid then 2 when p.asked_not then 3
                  when d.address_key is not null then 4 else 0 end, count(*)
      from person p %s
      left join do_not_write d on d.address_key = p.email_key
      where %s
      group by 1
      """;

  /** One question: its filter at the API and by hand. */
  private record Case(String name, Map<String, Object> filter, String join, String where) {

    Case(String name, List<Map<String, Object>> conditions, String join, String where) {
      this(name, PeopleBench.filter(conditions, List.of()), join, where);
    }
  }

  /** Written to a third of the people; half of those opened it. */
  private static final int MAILING = 1;

  private static final List<Case> CASES =
      List.of(
          new Case(
              "plan_and_date",
              List.of(
                  condition("kind", "ANY_OF", "member"),
                  condition("plan", "ANY_OF", "Oar", "Sail"),
                  condition("last_visit", "BEFORE", "2025-05-01")),
              "join membership m on m.person_id = p.id",
              """
              p.kind = 'member' and m.plan in ('Oar', 'Sail')
              and p.last_visit_at < '2025-05-01 00:00 Europe/London'"""),
          new Case(
              "tags",
              List.of(condition("tags", "HAS_ALL", "slipway", "youth")),
              "",
              "p.tags_key @> '{slipway,youth}'"),
          new Case(
              "stage", List.of(condition("stage", "ANY_OF", "quoted")), "", "p.stage = 'quoted'"),
          new Case(
              "month_any_year",
              List.of(condition("joined_on", "IN_MONTH", "4")),
              "join membership m on m.person_id = p.id",
              "extract(month from m.joined_on) = 4"),
          new Case(
              "has_quote",
              filter(
                  List.of(),
                  List.of(
                      has(
                          "QUOTE",
                          condition("stage", "ANY_OF", "open"),
                          condition("total", "MORE", "1000")))),
              "",
              """
              exists (select from quote q where q.person_id = p.id and q.stage = 'open'
                      and q.total > 1000)"""),
          new Case(
              "not_opened",
              filter(
                  List.of(),
                  List.of(
                      has(
                          "MESSAGE",
                          condition("mailing", "ANY_OF", "" + MAILING),
                          condition("opened", "NO")))),
              "",
              """
              exists (select from message s where s.person_id = p.id and s.state = 'sent'
                      and s.cause_id = 1 and not exists (select from response r
                        where r.message_id = s.id and r.kind in ('OPENED', 'CLICKED', 'REPLIED')))"""),
          new Case(
              "text_anywhere",
              List.of(condition("berth_name", "CONTAINS", "wake")),
              "",
              "position('wake' in fold(p.attributes ->> 'berth_name')) > 0"));

  private PeopleBench() {}

  private static Map<String, Object> condition(String field, String operator, String... values) {
    return Map.of("field", field, "operator", operator, "values", List.of(values));
  }

  private static Map<String, Object> filter(
      List<Map<String, Object>> conditions, List<Map<String, Object>> related) {
    return Map.of(
        "match", "ALL", "conditions", conditions, "related", related, "groups", List.of());
  }

  private static Map<String, Object> has(
      String kind, Map<String, Object> condition, Map<String, Object> andCondition) {
    Map<String, Object> where = filter(List.of(condition, andCondition), List.of());
    return Map.of("kind", kind, "atLeast", 1, "where", where);
  }

  private static Map<String, Object> who(Map<String, Object> filter) {
    return Map.of("filter", filter);
  }

  static void run() throws Exception {
    try (RunningApp app = new RunningApp(PEOPLE, "--jemble.smtp.port=1")) {
      long there = app.sql.sql("select count(*) from person").query(Long.class).single();
      if (there != PEOPLE + COLLEAGUES) {
        throw new IllegalStateException("the database holds " + there + " people, not a million");
      }
      aMailingToMany(app);
      app.sql.sql("vacuum analyze").update();
      for (Case asked : CASES) {
        count(app, asked);
      }
      tallyOfAll(app);
      pages(app);
      ImportBench.run(app);
    }
  }

  private static void aMailingToMany(RunningApp app) {
    app.sql
        .sql(
            """
            insert into message (cause_id, person_id, address, recipient, token, state, frozen, due_at, sent_at)
            select 1, id, email, name, 'bench' || id, 'sent', '{}', now(), now()
            from person
            where id % 3 = 0 and email is not null
            on conflict do nothing
            """)
        .update();
    app.sql
        .sql(
            """
            insert into response (message_id, cause_id, person_id, kind, at)
            select id, 1, person_id, 'OPENED', now()
            from message
            where token like 'bench%' and person_id % 2 = 0
            """)
        .update();
  }

  private static void count(RunningApp app, Case asked) throws Exception {
    Map<String, Object> filter = who(asked.filter());
    String byHand = String.format(Locale.ROOT, BY_HAND, asked.join(), asked.where());
    long ours = app.api.post("/api/people/tally", filter).json().get("total").asLong();
    long theirs = 0;
    for (Map<String, Object> row : app.sql.sql(byHand).query().listOfRows()) {
      theirs += ((Number) row.get("count")).longValue();
    }
    if (ours != theirs) {
      throw new IllegalStateException(asked.name() + ": " + ours + " people, by hand " + theirs);
    }
    String name = "people.count." + asked.name();
    Figures.print(name + ".ms", "ms", timed(() -> app.api.post("/api/people/tally", filter)));
    FilterBody body = app.json.convertValue(asked.filter(), FilterBody.class);
    Interleaved.Times times =
        Interleaved.millis(
            WARM_UPS,
            RUNS,
            () -> app.lists.tally(null, body, ListService.Which.ALL, AS_OF),
            () -> app.sql.sql(byHand).query().listOfRows());
    Figures.print(name + ".sql.ms", "ms", times.ours());
    Figures.print(name + ".by_hand.ms", "ms", times.theirs());
    Figures.printRatio(name + ".ratio", times.ours(), times.theirs());
  }

  private static void tallyOfAll(RunningApp app) throws Exception {
    Figures.print(
        "people.tally.ms",
        "ms",
        timed(() -> app.api.post("/api/people/tally", who(filter(List.of(), List.of())))));
  }

  private static void pages(RunningApp app) throws Exception {
    Map<String, Object> first = question(CASES.get(0).filter(), null, null);
    Figures.print("people.page.ms", "ms", timed(() -> app.api.post("/api/people/page", first)));
    JsonNode page = app.api.post("/api/people/page", first).json();
    JsonNode last = page.get(page.size() - 1);
    Map<String, Object> next =
        question(
            CASES.get(0).filter(),
            null,
            Map.of("key", last.get("key").asString(), "id", last.get("id").asLong()));
    Figures.print("people.next_page.ms", "ms", timed(() -> app.api.post("/api/people/page", next)));
    Map<String, Object> everyone = question(filter(List.of(), List.of()), null, null);
    Figures.print("people.sort.ms", "ms", timed(() -> app.api.post("/api/people/page", everyone)));
    for (String column : List.of("last_visit", "plan", "berth_name")) {
      Map<String, Object> sorted = question(CASES.get(0).filter(), column, null);
      Figures.print(
          "people.sort." + column + ".ms",
          "ms",
          timed(() -> app.api.post("/api/people/page", sorted)));
    }
  }

  private static Map<String, Object> question(
      Map<String, Object> filter, String sortBy, Map<String, Object> after) {
    Map<String, Object> question = new HashMap<>();
    question.put("who", who(filter));
    question.put(
        "columns",
        List.of("plan", "joined_on", "last_visit", "address.place", "last_heard", "owner"));
    question.put("sortBy", sortBy);
    question.put("descending", false);
    question.put("after", after);
    return question;
  }

  private static double[] timed(Interleaved.Work work) throws Exception {
    for (int i = 0; i < WARM_UPS; i++) {
      work.run();
    }
    double[] runs = new double[RUNS];
    for (int i = 0; i < RUNS; i++) {
      runs[i] = Interleaved.millis(work);
    }
    return runs;
  }
}
