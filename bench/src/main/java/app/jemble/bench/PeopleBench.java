package app.jemble.bench;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/**
 * A million people: a filter's tally at the API, next to the same question written by hand in SQL;
 * the first page and the next.
 */
final class PeopleBench {

  private static final int PEOPLE = 1_000_000;
  private static final int WARM_UPS = 2;
  private static final int RUNS = 7;

  /** The tally of those who match, with no more tables than the question needs. */
  private static final String BY_HAND =
      """
      select case when p.email is null then 1 when not p.email_valid then 2 when p.asked_not then 3
                  when d.email_key is not null then 4 else 0 end, count(*)
      from person p %s
      left join do_not_write d on d.email_key = p.email_key
      where %s
      group by 1
      """;

  /** One question: its conditions at the API and by hand. */
  private record Case(
      String name, List<Map<String, Object>> conditions, String join, String where) {}

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
              "text_anywhere",
              List.of(condition("berth_name", "CONTAINS", "wake")),
              "",
              "position('wake' in fold(p.attributes ->> 'berth_name')) > 0"));

  private PeopleBench() {}

  private static Map<String, Object> condition(String field, String operator, String... values) {
    return Map.of("field", field, "operator", operator, "values", List.of(values));
  }

  private static Map<String, Object> filter(List<Map<String, Object>> conditions) {
    return Map.of("match", "ALL", "conditions", conditions, "groups", List.of());
  }

  static void run() throws Exception {
    try (RunningApp app = new RunningApp(PEOPLE, "--jemble.smtp.port=1")) {
      long there = app.sql.sql("select count(*) from person").query(Long.class).single();
      if (there != PEOPLE) {
        throw new IllegalStateException("the database holds " + there + " people, not a million");
      }
      app.sql.sql("vacuum analyze person").update();
      for (Case asked : CASES) {
        count(app, asked);
      }
      tallyOfAll(app);
      pages(app);
    }
  }

  private static void count(RunningApp app, Case asked) throws Exception {
    Map<String, Object> filter = filter(asked.conditions());
    String byHand = BY_HAND.formatted(asked.join(), asked.where());
    long ours = app.api.post("/api/people/tally", filter).json().get("total").asLong();
    long theirs = 0;
    for (Map<String, Object> row : app.sql.sql(byHand).query().listOfRows()) {
      theirs += ((Number) row.get("count")).longValue();
    }
    if (ours != theirs) {
      throw new IllegalStateException(asked.name() + ": " + ours + " people, by hand " + theirs);
    }
    Interleaved.Times times =
        Interleaved.millis(
            WARM_UPS,
            RUNS,
            () -> app.api.post("/api/people/tally", filter),
            () -> app.sql.sql(byHand).query().listOfRows());
    String name = "people.count." + asked.name();
    Figures.print(name + ".ms", "ms", times.ours());
    Figures.print(name + ".by_hand.ms", "ms", times.theirs());
    Figures.printRatio(name + ".ratio", times.ours(), times.theirs());
  }

  private static void tallyOfAll(RunningApp app) throws Exception {
    Figures.print(
        "people.tally.ms", "ms", timed(() -> app.api.post("/api/people/tally", filter(List.of()))));
  }

  private static void pages(RunningApp app) throws Exception {
    Map<String, Object> first = question(null);
    Figures.print("people.page.ms", "ms", timed(() -> app.api.post("/api/people/page", first)));
    JsonNode page = app.api.post("/api/people/page", first).json();
    JsonNode last = page.get(page.size() - 1);
    Map<String, Object> next =
        question(Map.of("nameKey", last.get("nameKey").asString(), "id", last.get("id").asLong()));
    Figures.print("people.next_page.ms", "ms", timed(() -> app.api.post("/api/people/page", next)));
  }

  private static Map<String, Object> question(Map<String, Object> after) {
    Map<String, Object> question = new HashMap<>();
    question.put("filter", filter(new ArrayList<>(CASES.get(0).conditions())));
    question.put("reach", null);
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
