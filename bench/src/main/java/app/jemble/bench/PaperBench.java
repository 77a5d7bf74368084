package app.jemble.bench;

import app.jemble.Drafts;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.locks.LockSupport;

/** Labels and letters of thousands, from the press of the button to the file that is kept. */
final class PaperBench {

  private static final int LABELS = 10_000;
  private static final int DOCUMENTS = 1_000;
  private static final int RUNS = 5;
  private static final long LOOK_MILLIS = 20;

  /** What is live is counted by sweeping, which takes a while. */
  private static final long BETWEEN_LOOKS_NANOS = 10_000_000_000L;

  /** Five of it fill about a page. */
  private static final String LETTER =
      "<p>Dear {{first_name or \"friend\"}}, the boats lie ashore for the winter, and whoever wants"
          + " theirs in the water before Easter tells the yard by the last day of February.</p>";

  private PaperBench() {}

  static void run() throws Exception {
    try (RunningApp app = new RunningApp(LABELS, "--jemble.smtp.port=1")) {
      everybodyHasAnAddress(app);
      labels(app);
      double[] seconds = new double[RUNS];
      double[] peaks = new double[RUNS];
      for (int i = 0; i < RUNS; i++) {
        Heap heap = Heap.now();
        seconds[i] = labels(app);
        peaks[i] = heap.peakMegabytes();
      }
      letters(app);
      documents(app);
      Figures.print("paper.labels.10000.s", "s", seconds);
      Figures.print("paper.peak_mb", "MB", peaks);
      Long octets =
          app.sql
              .sql(
                  "select sum(length(octets)) from print_file where run_id = (select max(run_id) from print_file)")
              .query(Long.class)
              .single();
      System.out.printf(Locale.ROOT, "paper.labels.file: %,d octets%n", octets);
    }
  }

  /** One page each, written here. */
  private static void letters(RunningApp app) {
    Map<String, Object> paper = new HashMap<>();
    paper.putAll(Map.of("subject", "The quay in winter", "body", LETTER.repeat(5)));
    paper.putAll(Map.of("form", "DIN_B", "documentId", 0, "documentVersion", 0));
    long mailing = released(app, LABELS, paper);
    Heap heap = Heap.now();
    long begun = System.nanoTime();
    List<Double> live = new ArrayList<>();
    int pages = printed(app, mailing, () -> live.add(heap.keptMegabytes()));
    Figures.print("paper.letters.10000.s", "s", (System.nanoTime() - begun) / 1e9);
    Figures.print("paper.letters.peak_mb", "MB", heap.peakMegabytes());
    Figures.print("paper.letters.live_mb.early", "MB", live.get(0));
    Figures.print("paper.letters.live_mb.late", "MB", live.get(live.size() - 1));
    System.out.printf(Locale.ROOT, "paper.letters.pages: %,d%n", pages);
  }

  /** The boatyard's own letter: eight fields, a header that is each reader's own. */
  private static void documents(RunningApp app) {
    long document = app.api.get("/api/documents").json().get(0).get("id").asLong();
    Map<String, Object> paper = new HashMap<>(Map.of("subject", "", "body", "", "form", "DIN_B"));
    paper.putAll(Map.of("documentId", document, "documentVersion", 1));
    long mailing = released(app, DOCUMENTS, paper);
    Heap heap = Heap.now();
    long begun = System.nanoTime();
    int letters = printed(app, mailing, () -> {});
    if (letters != DOCUMENTS) {
      throw new IllegalStateException(letters + " were printed of " + DOCUMENTS);
    }
    Figures.print("paper.docx.1000.s", "s", (System.nanoTime() - begun) / 1e9);
    Figures.print("paper.docx.peak_mb", "MB", heap.peakMegabytes());
  }

  /** A mailing that is released to all by post and waits to be printed. */
  private static long released(RunningApp app, int many, Map<String, Object> paper) {
    List<Long> people = people(app, many);
    app.sql.sql("update workspace set hold_seconds = 0").update();
    Map<String, Object> begin =
        new HashMap<>(Map.of("parts", List.of(), "picks", people, "leftOut", List.of()));
    begin.put("templateId", null);
    begin.put("mailingId", null);
    long id = app.api.post("/api/mailings", begin).json().get("id").asLong();
    Map<String, Object> change = Drafts.change(app.api, id, "Letters", "");
    change.put("topicId", 3);
    change.put("ways", List.of("POST"));
    change.put("picks", people);
    change.put("paper", paper);
    app.api.put("/api/mailings/" + id, change);
    int version = app.api.get("/api/mailings/" + id).json().get("version").asInt();
    app.api.post("/api/mailings/" + id + "/release", Map.of("version", version));
    String path = "/api/mailings/" + id + "/letters";
    while (app.api.get(path).json().get("toPrint").asInt() < people.size()) {
      LockSupport.parkNanos(LOOK_MILLIS * 1_000_000);
    }
    return id;
  }

  /**
   * Prints all that wait, until they are printed.
   *
   * @param look done now and then on the way
   */
  private static int printed(RunningApp app, long mailing, Runnable look) {
    Map<String, Object> how = Map.of("duplex", false, "order", "POSTCODE");
    String letters = "/api/mailings/" + mailing + "/letters";
    String path = "/api/letter-runs/" + app.api.post(letters, how).json().get("id").asLong();
    long looked = System.nanoTime();
    while (!app.api.get(path).json().get("state").asString().equals("PRINTED")) {
      LockSupport.parkNanos(LOOK_MILLIS * 1_000_000);
      if (System.nanoTime() - looked > BETWEEN_LOOKS_NANOS) {
        look.run();
        looked = System.nanoTime();
      }
    }
    return app.api.get(path).json().get("pages").asInt();
  }

  private static List<Long> people(RunningApp app, int many) {
    return app.sql
        .sql("select id from person where archived_at is null order by id limit " + many)
        .query(Long.class)
        .list();
  }

  private static void everybodyHasAnAddress(RunningApp app) {
    app.sql
        .sql(
            """
            update person
            set address_street = id || ' Quay Lane', address_postcode = 'TR' || id % 90 || ' 6AB',
                address_place = 'Lowen Quay', asked_not = false
            """)
        .update();
    app.sql.sql("vacuum analyze person").update();
  }

  private static double labels(RunningApp app) {
    Map<String, Object> everybody =
        Map.of("match", "ALL", "conditions", List.of(), "related", List.of(), "groups", List.of());
    List<Long> people = people(app, LABELS);
    Map<String, Object> who = Map.of("filter", everybody, "picks", people);
    long id = app.api.post("/api/print-runs", Map.of("who", who)).json().get("id").asLong();
    long begun = System.nanoTime();
    app.api.post("/api/print-runs/" + id + "/print", Map.of());
    String path = "/api/print-runs/" + id;
    while (!app.api.get(path).json().get("state").asString().equals("PRINTED")) {
      LockSupport.parkNanos(LOOK_MILLIS * 1_000_000);
    }
    double seconds = (System.nanoTime() - begun) / 1e9;
    int printed = app.api.get(path).json().get("toPrint").asInt();
    if (printed != people.size()) {
      throw new IllegalStateException(printed + " were printed of " + people.size());
    }
    return seconds;
  }
}
