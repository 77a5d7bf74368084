package app.jemble.occasion;

import app.jemble.cause.Cause;
import app.jemble.cause.CauseWays;
import app.jemble.cause.OpenCauses;
import app.jemble.cause.WaysBody;
import app.jemble.cause.Wordings;
import app.jemble.core.message.MailWording;
import app.jemble.core.message.SafeHtml;
import app.jemble.message.WordingBlockers;
import app.jemble.problem.Problem;
import java.util.List;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;

/** What standing mailings say: the letter, and the card above it. */
@Component
class OccasionWords {

  private static final int MOST_CHARACTERS = 1_000_000;

  /** A card stands above the letter; its words are its alternative text. */
  private static final String CARD =
      "<p><img src=\"{{card}}\" alt=\"{{card_words}}\" width=\"600\"></p>";

  private static final Pattern WITH_CARD =
      Pattern.compile("^\\s*<p>\\s*<img [^>]*\\{\\{\\s*card\\s*}}[^>]*>\\s*</p>\\s*");

  private final OpenCauses open;
  private final Wordings wordings;
  private final CauseWays ways;
  private final WordingBlockers blockers;

  OccasionWords(OpenCauses open, Wordings wordings, CauseWays ways, WordingBlockers blockers) {
    this.open = open;
    this.wordings = wordings;
    this.ways = ways;
    this.blockers = blockers;
  }

  /** What leaves, the card with it. */
  MailWording of(StandingMailing of) {
    return wordings.of(open.anybodys(of.causeId()));
  }

  void write(Cause cause, MailWording wording) {
    wordings.write(cause, wording);
  }

  /** On which ways it goes, and what it says on those beside e-mail. */
  WaysBody ways(Cause cause) {
    return ways.of(cause);
  }

  /** The same, from now on; null changes nothing. */
  void goBy(Cause cause, WaysBody wanted) {
    ways.write(cause, wanted);
  }

  /** What keeps it from leaving, in sentences. */
  List<String> blockers(StandingMailing of) {
    return of.leaves() == OccasionBody.Leaves.TASK
        ? List.of()
        : blockers.of(open.anybodys(of.causeId()));
  }

  /** The letter alone. */
  static String withoutCard(String body) {
    return WITH_CARD.matcher(body).replaceFirst("");
  }

  static MailWording wording(OccasionBody wanted) {
    String body = wanted.body() == null ? "" : wanted.body();
    String subject = wanted.subject() == null ? "" : wanted.subject();
    if (body.length() + subject.length() > MOST_CHARACTERS) {
      throw Problem.wrong("body", "A message has at most 1,000,000 characters.");
    }
    String letter = withoutCard(SafeHtml.clean(body));
    boolean carries = wanted.card() != null && wanted.leaves() != OccasionBody.Leaves.TASK;
    return MailWording.by(
        subject, carries ? SafeHtml.clean(CARD) + letter : letter, wanted.letterheadId(), false);
  }
}
