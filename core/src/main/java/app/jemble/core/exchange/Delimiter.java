package app.jemble.core.exchange;

import java.util.ArrayList;
import java.util.List;

/** What stands between the cells of a line. */
public final class Delimiter {

  private static final char[] USUAL = {',', ';', '\t', '|'};
  private static final int LOOKED_AT = 20;

  private Delimiter() {}

  /**
   * The delimiter that splits the first lines most evenly: into more than one cell each, and as
   * many in each line as in the first. A comma when none does.
   *
   * @param beginning the beginning of the file, which may end in the middle of a line
   */
  public static char guess(String beginning) {
    char best = ',';
    double bestScore = 0;
    for (char delimiter : USUAL) {
      double score = score(cellCounts(beginning, delimiter));
      if (score > bestScore) {
        best = delimiter;
        bestScore = score;
      }
    }
    return best;
  }

  private static double score(List<Integer> counts) {
    int first = counts.get(0);
    if (first < 2) {
      return 0;
    }
    long even = counts.stream().filter(c -> c == first).count();
    double evenness = (double) even / counts.size();
    return evenness * evenness * (1 + Math.log(first));
  }

  /** How many cells each of the first lines has; a delimiter or line end in quotes is a letter. */
  private static List<Integer> cellCounts(String text, char delimiter) {
    List<Integer> counts = new ArrayList<>();
    boolean quoted = false;
    boolean begun = false;
    int cells = 1;
    for (int i = 0; i < text.length() && counts.size() < LOOKED_AT; i++) {
      char c = text.charAt(i);
      if (c == '"') {
        quoted = !quoted;
      } else if (!quoted && c == delimiter) {
        cells++;
      } else if (!quoted && (c == '\n' || c == '\r')) {
        if (begun) {
          counts.add(cells);
        }
        cells = 1;
        begun = false;
        continue;
      }
      begun = true;
    }
    // The last line may have been cut; it counts only when there is no other.
    if (counts.isEmpty()) {
      counts.add(cells);
    }
    return counts;
  }
}
