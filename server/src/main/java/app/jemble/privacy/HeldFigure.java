package app.jemble.privacy;

import java.util.List;
import java.util.TreeMap;

/**
 * How much of something is held.
 *
 * @param what it is, in words for people
 */
record HeldFigure(String what, int count) {

  /**
   * Of several records of one person, in the order of the alphabet; without the rows themselves.
   */
  static List<HeldFigure> sum(List<HeldOfPerson.Held> records) {
    TreeMap<String, Integer> counts = new TreeMap<>();
    for (HeldOfPerson.Held held : records) {
      held.record().forEach((part, rows) -> add(counts, HeldSummary.words(part), rows.size()));
      add(counts, "Copies of messages that went", held.sent().size());
      add(counts, "Mails and texts that came", held.came().size());
    }
    counts.remove(HeldSummary.words(HeldSummary.RECORD));
    return counts.entrySet().stream().map(e -> new HeldFigure(e.getKey(), e.getValue())).toList();
  }

  private static void add(TreeMap<String, Integer> counts, String what, int more) {
    if (more > 0) {
      counts.merge(what, more, Integer::sum);
    }
  }
}
