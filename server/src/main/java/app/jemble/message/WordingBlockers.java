package app.jemble.message;

import app.jemble.carrier.Carriers;
import app.jemble.cause.Cause;
import app.jemble.cause.Wordings;
import app.jemble.core.merge.Blanks;
import app.jemble.core.message.MailWording;
import app.jemble.core.reach.Channel;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Component;

/** What keeps words from leaving by themselves, in sentences. */
@Component
public class WordingBlockers {

  private final Wordings wordings;
  private final LetterService letters;
  private final Carriers carriers;

  WordingBlockers(Wordings wordings, LetterService letters, Carriers carriers) {
    this.wordings = wordings;
    this.letters = letters;
    this.carriers = carriers;
  }

  public List<String> of(Cause cause) {
    List<String> blockers = new ArrayList<>();
    if (cause.ways().has(Channel.EMAIL)) {
      MailWording words = wordings.of(cause);
      needs(words.subject(), "It has no subject.", blockers);
      needs(words.body(), "It says nothing.", blockers);
    }
    blockers.addAll(besideMail(cause));
    return blockers;
  }

  /** Those of its ways beside e-mail, and what is wrong with any of its texts. */
  public List<String> besideMail(Cause cause) {
    Letter letter = letters.of(cause);
    List<String> blockers = new ArrayList<>();
    if (letter.ways().has(Channel.TEXT)) {
      needs(letter.textWording().words(), "It says nothing by text.", blockers);
    }
    if (letter.ways().has(Channel.APP)) {
      needs(letter.noticeWording().title(), "Its notice has no title.", blockers);
      needs(letter.noticeWording().words(), "Its notice says nothing.", blockers);
    }
    if (letter.ways().has(Channel.POST)) {
      ofPaper(letter, blockers);
    }
    letter.ways().inOrder().stream()
        .filter(way -> !carriers.serve(way))
        .forEach(
            way ->
                blockers.add(
                    "No service for this way is set up here: "
                        + way.words().toLowerCase(Locale.ROOT)
                        + "."));
    blockers.addAll(letter.errors());
    return blockers;
  }

  private static void ofPaper(Letter letter, List<String> blockers) {
    if (!letter.paperWording().usesDocument()) {
      needs(letter.paperWording().body(), "Its letter on paper says nothing.", blockers);
    }
    letter.documentBlanks().forEach(blank -> blockers.add("Fill in " + blank + "."));
  }

  private static void needs(String text, String sentence, List<String> blockers) {
    if (text.isBlank()) {
      blockers.add(sentence);
    }
    Blanks.in(text).forEach(blank -> blockers.add("Fill in " + blank + "."));
  }
}
