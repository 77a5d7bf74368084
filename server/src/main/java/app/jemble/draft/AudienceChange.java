package app.jemble.draft;

import app.jemble.audience.Audience;
import app.jemble.audience.AudienceParts;
import java.util.List;

/** What the writer changed of an audience; what is null stays as it is. */
record AudienceChange(
    Boolean recordEach,
    List<AudienceParts.Part> parts,
    List<AudienceParts.Part> leaveParts,
    List<Long> picks,
    List<Long> leftOut) {

  /** The audience as it is then. */
  Audience of(Audience before, AudienceParts writer) {
    return new Audience(
        before.recordKind(),
        before.recordIds(),
        recordEach == null ? before.recordEach() : recordEach,
        parts == null ? before.parts() : writer.write(parts),
        leaveParts == null ? before.leaveParts() : writer.write(leaveParts),
        picks == null ? before.picks() : picks.toArray(Long[]::new),
        leftOut == null ? before.leftOut() : leftOut.toArray(Long[]::new));
  }
}
