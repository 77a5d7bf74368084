package app.jemble.print;

import app.jemble.audience.AudienceView;
import app.jemble.core.reach.Reach;
import app.jemble.core.record.PersonId;
import app.jemble.print.sheet.DesignBody;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;

/**
 * A print run as a screen shows it.
 *
 * @param tally how many get a label, and how many do not for which reason
 * @param people how many are on it
 * @param sheets how many sheets of paper it takes
 * @param errors of the lines, in sentences
 * @param findings the first of them, the gravest first
 * @param findingCount how many there are in all
 * @param toPrint while it is being printed and after, how many people
 * @param done how many of them are in the file
 */
record RunView(
    long id,
    String name,
    String maker,
    int version,
    RunState state,
    List<AudienceView.ShownPart> parts,
    List<PersonId> picks,
    List<PersonId> leftOut,
    DesignBody design,
    int start,
    int copies,
    double offsetAcross,
    double offsetDown,
    List<LabelReason> tally,
    int people,
    int sheets,
    List<String> errors,
    List<LabelFinding> findings,
    int findingCount,
    int toPrint,
    int done,
    String trouble,
    @Schema(nullable = true) Instant printedAt,
    @Schema(nullable = true) LocalDate postedOn) {

  /** How many for one reason; READY get a label. */
  record LabelReason(Reach reason, String words, int people) {}
}
