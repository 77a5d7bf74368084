package app.jemble.audience;

import app.jemble.core.record.PersonId;
import app.jemble.core.record.Related;
import java.util.List;

/**
 * Whom a mailing is for.
 *
 * @param recordKind what kind of records its messages are about, or null
 * @param recordEach one message for each record, instead of one about each person's newest
 * @param parts whoever is in any of them, as JSON
 * @param leftOutParts whoever is in any of these is left out, as JSON
 * @param picks people picked by hand besides
 * @param leftOut people left out by hand
 */
public record Audience(
    Related recordKind,
    Long[] recordIds,
    boolean recordEach,
    String parts,
    String leftOutParts,
    PersonId[] picks,
    PersonId[] leftOut) {

  private static final String NO_PARTS = "[]";

  public static final Audience NOBODY =
      new Audience(null, new Long[0], false, NO_PARTS, NO_PARTS, new PersonId[0], new PersonId[0]);

  /** People picked by hand alone. */
  public static Audience picked(List<PersonId> people) {
    return NOBODY.withPeople(NO_PARTS, people.toArray(PersonId[]::new), new PersonId[0]);
  }

  /** About these records. */
  public Audience about(Related kind, List<Long> ids, boolean each) {
    return new Audience(kind, ids.toArray(Long[]::new), each, parts, leftOutParts, picks, leftOut);
  }

  /** For these people, of whom none is left out but by hand. */
  public Audience withPeople(String ofParts, PersonId[] picked, PersonId[] out) {
    return new Audience(recordKind, recordIds, recordEach, ofParts, NO_PARTS, picked, out);
  }

  /** The records alone: what a rule of a mailing writes about. */
  public Audience recordsAlone() {
    return withPeople(NO_PARTS, new PersonId[0], new PersonId[0]);
  }

  public List<PersonId> pickedPeople() {
    return List.of(picks);
  }
}
