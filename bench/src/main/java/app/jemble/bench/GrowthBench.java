package app.jemble.bench;

import app.jemble.core.WorstShapes;
import app.jemble.core.merge.RandomTemplates;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * How long readers of text take for their worst shapes as these grow, the slowest shape of each
 * reader; and a million random templates.
 */
final class GrowthBench {

  private static final List<Integer> SIZES = List.of(1_000, 10_000, 100_000, 1_000_000);

  private GrowthBench() {}

  static void run() {
    Map<String, double[]> slowest = new LinkedHashMap<>();
    for (WorstShapes.Shape shape : WorstShapes.all()) {
      double[] millis = slowest.computeIfAbsent(shape.reader(), r -> new double[SIZES.size()]);
      shape.read(SIZES.get(1));
      for (int i = 0; i < SIZES.size(); i++) {
        long begun = System.nanoTime();
        shape.read(SIZES.get(i));
        millis[i] = Math.max(millis[i], (System.nanoTime() - begun) / 1e6);
      }
    }
    slowest.forEach(
        (reader, millis) -> {
          String name = "growth." + reader.replace(' ', '_');
          for (int i = 0; i < SIZES.size(); i++) {
            Figures.print(name + "." + SIZES.get(i) / 1_000 + "kb.ms", "ms", millis[i]);
          }
        });
    Figures.print(
        "growth.random_templates.slowest.ms", "ms", new RandomTemplates(1).read(1_000_000));
  }
}
