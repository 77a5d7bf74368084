package app.jemble.print;

import app.jemble.core.merge.FieldNames;
import app.jemble.core.paper.PostalLines;
import app.jemble.core.paper.PostalLines.Postal;
import app.jemble.core.record.PersonId;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;

/**
 * One person's label, before it lies anywhere.
 *
 * @param words of all its lines
 * @param address as it stands on record
 * @param own whether the words are for this run alone
 * @param missing labels of fields without a value and without a fallback
 * @param returnedOn the day on which it came back, once it was posted; else null
 */
record RunItem(
    PersonId personId,
    String name,
    String words,
    Postal address,
    boolean own,
    Set<String> missing,
    LocalDate returnedOn) {

  /** Where it goes does not matter any more once it is printed. */
  private static final Postal NOWHERE = new Postal("", "", "", "");

  RunItem {
    missing = FieldNames.inOrder(missing);
  }

  List<String> lines() {
    return PostalLines.withoutEmpty(words.lines());
  }

  /** As it was printed. */
  static RunItem of(ItemMapper.Printed printed) {
    return new RunItem(
        printed.personId(),
        printed.name(),
        printed.words(),
        NOWHERE,
        false,
        Set.of(),
        printed.returnedOn());
  }
}
