package app.jemble.bench;

import app.jemble.series.entry.SeriesRun;
import app.jemble.series.entry.StandingEntries;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A series of ten steps with a million people in it: how long they take to come in, a look that
 * finds nobody due, a hundred thousand due at once, and its screen.
 */
final class SeriesBench {

  private static final int PEOPLE = 1_000_000;
  private static final int DUE = 100_000;
  private static final int STEPS = 10;
  private static final int LOOKS = 50;
  private static final int SCREENS = 9;
  private static final int RUNS = 3;

  private SeriesBench() {}

  static void run() {
    try (RunningApp app = new RunningApp(1000, "--jemble.smtp.port=1")) {
      addPeople(app);
      long series = series(app);
      enter(app, series);
      SeriesRun run = app.bean(SeriesRun.class);
      // Nobody is due: the first step waits for days.
      run.lookAt(series);
      idle(run);
      due(app, run, series);
      screen(app, "/api/series/" + series, "series.screen.ms");
      screen(app, "/api/series/" + series + "/people", "series.people.ms");
      standing(app, series);
    }
  }

  private static void addPeople(RunningApp app) {
    app.sql
        .sql(
            """
            insert into person (kind, first_name, last_name, email, tags, created_at)
            select 'contact', 'P' || n, 'Bench', 'p' || n || '@bench.test', '{bench}', now()
            from generate_series(1, ?) n
            """)
        .param(PEOPLE)
        .update();
    app.sql.sql("analyze person").update();
  }

  private static long series(RunningApp app) {
    Map<String, Object> name = Map.of("name", "Bench", "topicId", 1);
    long id = app.api.post("/api/series", name).json().get("id").asLong();
    for (int i = 1; i <= STEPS; i++) {
      Map<String, Object> step = new HashMap<>();
      step.put("waitCount", 5);
      step.put("waitUnit", "DAYS");
      step.put("waitAt", null);
      step.put("inThread", false);
      step.put("meant", List.of());
      step.put("subject", "Step " + i);
      step.put("body", "<p>Dear {{first_name or \"friend\"}}, this is letter " + i + ".</p>");
      step.put("letterheadId", null);
      step.put("promotional", false);
      app.api.post("/api/series/" + id + "/steps", step);
    }
    app.api.post("/api/series/" + id + "/activate", Map.of());
    return id;
  }

  private static void enter(RunningApp app, long series) {
    Map<String, Object> who = new HashMap<>();
    who.put(
        "filter",
        Map.of(
            "match",
            "ALL",
            "conditions",
            List.of(Map.of("field", "tags", "operator", "HAS_ANY", "values", List.of("bench"))),
            "groups",
            List.of()));
    who.put("people", List.of());
    long began = System.nanoTime();
    long in = app.api.post("/api/series/" + series + "/people", who).json().get("in").asLong();
    if (in != PEOPLE) {
      throw new IllegalStateException(in + " came in, not " + PEOPLE);
    }
    Figures.print("series.enter.1000000.s", "s", new double[] {(System.nanoTime() - began) / 1e9});
  }

  private static void idle(SeriesRun run) {
    double[] times = new double[LOOKS];
    for (int i = 0; i < LOOKS; i++) {
      long began = System.nanoTime();
      if (!run.toLookAt().isEmpty()) {
        throw new IllegalStateException("somebody is due");
      }
      times[i] = (System.nanoTime() - began) / 1e6;
    }
    Figures.print("series.idle_tick.ms", "ms", times);
  }

  private static void due(RunningApp app, SeriesRun run, long series) {
    double[] times = new double[RUNS];
    for (int i = 0; i < RUNS; i++) {
      app.sql
          .sql(
              """
              update series_entry
              set passed_at = passed_at - interval '6 days', look_at = now()
              where id in (select id from series_entry
                           where series_id = ? and passed_step_id is null
                             and look_at > now() order by id limit ?)
              """)
          .params(series, DUE)
          .update();
      long before = messages(app);
      long began = System.nanoTime();
      run.lookAt(series);
      while (messages(app) < before + DUE) {
        // The job of the application is at some of them.
        run.lookAt(series);
      }
      times[i] = (System.nanoTime() - began) / 1e9;
    }
    Figures.print("series.due.100000.s", "s", times);
  }

  /** Everybody matches and is in it. */
  private static void standing(RunningApp app, long series) {
    app.sql
        .sql(
            """
            update series
            set enters_parts = '[{"name": "bench", "filter": {"match": "ALL", "conditions":
              [{"field": "tags", "operator": "HAS_ANY", "values": ["bench"]}], "groups": []}}]'
            where id = ?
            """)
        .param(series)
        .update();
    app.sql.sql("analyze series_entry").update();
    StandingEntries standing = app.bean(StandingEntries.class);
    double[] times = new double[SCREENS];
    for (int i = 0; i < SCREENS; i++) {
      long began = System.nanoTime();
      if (standing.lookAt(series) > 0) {
        throw new IllegalStateException("somebody was new");
      }
      times[i] = (System.nanoTime() - began) / 1e6;
    }
    Figures.print("series.standing.ms", "ms", times);
  }

  private static long messages(RunningApp app) {
    return app.sql
        .sql("select count(*) from message m join series_step s on s.cause_id = m.cause_id")
        .query(Long.class)
        .single();
  }

  private static void screen(RunningApp app, String path, String name) {
    double[] times = new double[SCREENS];
    for (int i = 0; i < SCREENS; i++) {
      long began = System.nanoTime();
      app.api.get(path);
      times[i] = (System.nanoTime() - began) / 1e6;
    }
    Figures.print(name, "ms", times);
  }
}
