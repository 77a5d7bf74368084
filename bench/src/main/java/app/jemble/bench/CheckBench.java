package app.jemble.bench;

import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** The check before release at the API: everyone's message is rendered whole, and looked at. */
final class CheckBench {

  private static final int PEOPLE = 100_000;
  private static final int WARM_UPS = 1;
  private static final int RUNS = 5;

  private CheckBench() {}

  static void run() throws Exception {
    try (RunningApp app = new RunningApp(PEOPLE)) {
      look(app, "check.10000", PEOPLE / 10);
      look(app, "check.100000", PEOPLE);
    }
  }

  private static void look(RunningApp app, String name, int people) throws Exception {
    List<Long> picks =
        app.sql
            .sql("select id from person order by id limit ?")
            .param(people)
            .query(Long.class)
            .list();
    String path =
        "/api/mailings/" + app.api.post("/api/mailings", begin(picks)).json().get("id").asLong();
    double[] seconds = new double[RUNS];
    Heap heap = Heap.now();
    for (int run = -WARM_UPS; run < RUNS; run++) {
      double taken = Interleaved.millis(() -> lookOnce(app, path, people)) / 1000;
      if (run >= 0) {
        seconds[run] = taken;
      }
    }
    Figures.print(name + ".s", "s", seconds);
    Figures.print(name + ".peak_mb", "MB", heap.peakMegabytes());
    Figures.print(name + ".kept_mb", "MB", heap.keptMegabytes());
  }

  private static void lookOnce(RunningApp app, String path, int people) {
    int total = app.api.get(path + "/check").json().get("total").asInt();
    if (total != people) {
      throw new IllegalStateException(total + " people were looked at, not " + people);
    }
  }

  /** From the template with the most fields that ships with the demo. */
  private static Map<String, Object> begin(List<Long> picks) {
    Map<String, Object> begin = new HashMap<>();
    begin.put("parts", List.of());
    begin.put("picks", picks);
    begin.put("leftOut", List.of());
    begin.put("templateId", 1);
    begin.put("mailingId", null);
    return begin;
  }
}
