package app.jemble.message;

import app.jemble.cause.Cause;
import app.jemble.cause.Wordings;
import app.jemble.core.merge.Blanks;
import app.jemble.core.message.MailWording;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** What keeps words from leaving by themselves, in sentences. */
@Component
public class WordingBlockers {

  private final Wordings wordings;
  private final LetterService letters;

  WordingBlockers(Wordings wordings, LetterService letters) {
    this.wordings = wordings;
    this.letters = letters;
  }

  public List<String> of(Cause cause) {
    MailWording words = wordings.of(cause);
    List<String> blockers = new ArrayList<>();
    if (words.subject().isBlank()) {
      blockers.add("It has no subject.");
    }
    if (words.body().isBlank()) {
      blockers.add("It says nothing.");
    }
    for (String text : List.of(words.subject(), words.body())) {
      Blanks.in(text).forEach(blank -> blockers.add("Fill in " + blank + "."));
    }
    blockers.addAll(letters.of(cause).errors());
    return blockers;
  }
}
