package app.jemble.bench;

import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.concurrent.locks.LockSupport;
import tools.jackson.databind.JsonNode;

/** A file of 100,000 rows, one in a hundred bad, read, checked and taken in at the API. */
final class ImportBench {

  private static final int ROWS = 100_000;

  private ImportBench() {}

  static void run(RunningApp app) throws Exception {
    byte[] file = file();
    Heap heap = Heap.now();
    double first = seconds(app, file, 0);
    Figures.print("people.import.rows_per_s", "/s", new double[] {ROWS / first});
    Figures.print("people.import.seconds", "s", new double[] {first});
    Figures.print("people.import.peak_mb", "MB", new double[] {heap.peakMegabytes()});
    double again = seconds(app, file, ROWS - ROWS / 100);
    Figures.print("people.import.again.seconds", "s", new double[] {again});
  }

  private static byte[] file() {
    StringBuilder rows =
        new StringBuilder("email,first name,last name,postcode,place,number,plan,joined,tags\n");
    for (int i = 0; i < ROWS; i++) {
      rows.append(i % 100 == 7 ? "nobody" : "row" + i + "@import.example")
          .append(",First")
          .append(i)
          .append(",Last,LQ1 1TQ,Porto,I-")
          .append(i)
          .append(",Sail,2020-01-01,slipway\n");
    }
    return rows.toString().getBytes(StandardCharsets.UTF_8);
  }

  /** How long until all is taken in; so many rows must be of people who are so already. */
  private static double seconds(RunningApp app, byte[] file, long same) {
    long begun = System.nanoTime();
    long id = app.api.upload("/api/imports?name=bench.csv", file).json().get("id").asLong();
    Map<String, Object> choices = new HashMap<>();
    for (Map.Entry<String, JsonNode> e :
        app.api.get("/api/imports/" + id).json().get("choices").properties()) {
      choices.put(e.getKey(), e.getValue());
    }
    app.api.put("/api/imports/" + id, choices);
    JsonNode counts = await(app, id, "checked").get("counts");
    if (counts.get("bad").asLong() != ROWS / 100 || counts.get("same").asLong() != same) {
      throw new IllegalStateException("the rows were judged wrongly: " + counts);
    }
    app.api.post("/api/imports/" + id + "/run", Map.of());
    await(app, id, "done");
    return (System.nanoTime() - begun) / 1e9;
  }

  private static JsonNode await(RunningApp app, long id, String state) {
    while (true) {
      JsonNode now = app.api.get("/api/imports/" + id).json();
      if (now.get("state").asString().equals(state)) {
        return now;
      }
      if (now.get("state").asString().equals("failed")) {
        throw new IllegalStateException(now.get("trouble").asString());
      }
      LockSupport.parkNanos(400_000_000);
    }
  }
}
