package app.jemble.bench;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * {@code ./jemble bench [group…]}: prints one line a figure, {@code name: value unit [min max n]}.
 */
public final class Bench {

  /** One group of figures. */
  interface Group {
    void run() throws Exception;
  }

  private Bench() {}

  public static void main(String[] wanted) throws Exception {
    Map<String, Group> groups = new LinkedHashMap<>();
    groups.put("merge", MergeBench::run);
    groups.put("mime", MimeBench::run);
    groups.put("plan", PlanBench::run);
    groups.put("check", CheckBench::run);
    groups.put("release", ReleaseBench::run);
    groups.put("outbox", OutboxBench::run);
    groups.put("ways", WaysBench::run);
    groups.put("texts", TextsBench::run);
    groups.put("notices", NoticesBench::run);
    groups.put("two-ways", TwoWaysBench::run);
    groups.put("kills", KillBench::run);
    groups.put("house-kills", HouseKillBench::run);
    groups.put("marks", MarksBench::run);
    groups.put("people", PeopleBench::run);
    groups.put("series", SeriesBench::run);
    groups.put("series-kills", SeriesKillBench::run);
    groups.put("cards", CardBench::run);
    groups.put("paper", PaperBench::run);
    groups.put("screens", ScreensBench::run);
    groups.put("growth", GrowthBench::run);
    groups.put("fuzz", FuzzBench::run);
    List<String> names = wanted.length == 0 ? List.copyOf(groups.keySet()) : List.of(wanted);
    for (String name : names) {
      if (!groups.containsKey(name)) {
        throw new IllegalArgumentException(
            "There is no group “" + name + "”; there are " + groups.keySet() + ".");
      }
    }
    for (String name : names) {
      groups.get(name).run();
    }
    System.exit(0);
  }
}
