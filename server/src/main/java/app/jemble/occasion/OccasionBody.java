package app.jemble.occasion;

import app.jemble.audience.AudienceParts;
import app.jemble.card.CardBody;
import app.jemble.cause.WaysBody;
import app.jemble.core.occasion.Occasion;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalTime;
import java.util.List;

/**
 * A standing mailing as it is wanted.
 *
 * @param field of the day, such as birthday
 * @param offset days from the day to the saying of it: −60 to 60
 * @param rounds only when it is so many years; none: every year
 * @param whom for whom; none: for everyone with such a day
 * @param at the time of day on each person's own clock
 * @param card a picture with words above the letter, drawn for each; null for none
 * @param subject template text
 * @param body template text, HTML, without the card
 * @param ways on which ways it goes; null leaves that as it is, by e-mail at first
 */
public record OccasionBody(
    String name,
    long topicId,
    String field,
    Occasion.Kind kind,
    int offset,
    List<Integer> rounds,
    List<AudienceParts.Part> whom,
    @Schema(type = "string", example = "09:00") LocalTime at,
    Leaves leaves,
    @Schema(nullable = true) CardBody card,
    String subject,
    String body,
    @Schema(nullable = true) Long letterheadId,
    @Schema(nullable = true) WaysBody ways,
    int version) {

  /** How what it says leaves. */
  public enum Leaves {
    /** by itself */
    ITSELF,
    /** after a colleague's nod */
    NOD,
    /** not at all: a task reminds the sender */
    TASK
  }

  public OccasionBody {
    rounds = rounds == null ? List.of() : List.copyOf(rounds);
    whom = whom == null ? List.of() : List.copyOf(whom);
  }
}
