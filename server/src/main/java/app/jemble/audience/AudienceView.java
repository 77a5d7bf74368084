package app.jemble.audience;

import app.jemble.core.record.PersonId;
import app.jemble.core.record.Related;
import app.jemble.filter.FilterBody;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;

/**
 * An audience as a screen shows it.
 *
 * @param records how many records it is about
 * @param words the whole of it
 */
public record AudienceView(
    Related recordKind,
    int records,
    boolean recordEach,
    String words,
    List<ShownPart> parts,
    List<ShownPart> leftOutParts,
    List<PersonId> picks,
    List<PersonId> leftOut) {

  /** A part of the audience, with its words. */
  public record ShownPart(@Schema(nullable = true) String name, FilterBody filter, String words) {}
}
