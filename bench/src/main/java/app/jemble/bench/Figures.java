package app.jemble.bench;

import java.util.Arrays;
import java.util.Locale;

/** Prints figures: the median with the least, the most and how many runs. */
final class Figures {

  private Figures() {}

  static void print(String name, String unit, double... runs) {
    double[] sorted = runs.clone();
    Arrays.sort(sorted);
    System.out.printf(
        Locale.ROOT,
        "%s: %s %s [%s %s %d]%n",
        name,
        shown(median(sorted)),
        unit,
        shown(sorted[0]),
        shown(sorted[sorted.length - 1]),
        sorted.length);
  }

  /** The ratio of two medians of one run. */
  static void printRatio(String name, double[] ours, double[] theirs) {
    System.out.printf(Locale.ROOT, "%s: %.2f ratio%n", name, median(ours) / median(theirs));
  }

  static double median(double[] runs) {
    double[] sorted = runs.clone();
    Arrays.sort(sorted);
    int middle = sorted.length / 2;
    return sorted.length % 2 == 1 ? sorted[middle] : (sorted[middle - 1] + sorted[middle]) / 2;
  }

  private static String shown(double value) {
    return String.format(
        Locale.ROOT, value >= 1000 ? "%.0f" : value >= 10 ? "%.1f" : "%.2f", value);
  }
}
