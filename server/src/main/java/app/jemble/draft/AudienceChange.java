package app.jemble.draft;

import app.jemble.audience.Audience;
import app.jemble.audience.AudienceParts;
import app.jemble.core.record.PersonId;
import java.util.List;

/** What the writer changed of an audience; what is null stays as it is. */
record AudienceChange(
    Boolean recordEach,
    List<AudienceParts.Part> parts,
    List<AudienceParts.Part> leftOutParts,
    List<PersonId> picks,
    List<PersonId> leftOut) {

  /** The audience as it is then. */
  Audience of(Audience before, AudienceParts writer) {
    return new Audience(
        before.recordKind(),
        before.recordIds(),
        recordEach == null ? before.recordEach() : recordEach,
        parts == null ? before.parts() : writer.write(parts),
        leftOutParts == null ? before.leftOutParts() : writer.write(leftOutParts),
        picks == null ? before.picks() : picks.toArray(PersonId[]::new),
        leftOut == null ? before.leftOut() : leftOut.toArray(PersonId[]::new));
  }
}
