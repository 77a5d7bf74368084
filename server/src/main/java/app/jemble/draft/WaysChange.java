package app.jemble.draft;

import app.jemble.cause.Cause;
import app.jemble.cause.CauseChanges;
import app.jemble.cause.Wordings;
import app.jemble.core.message.TextWording;
import app.jemble.core.message.TextWording.Likeness;
import app.jemble.core.reach.Channel;
import app.jemble.core.reach.Ways;
import app.jemble.problem.Problem;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/**
 * What the writer changed of the ways of a draft; what is null stays as it is.
 *
 * @param ways in their order
 * @param text what is said by text
 */
record WaysChange(List<Channel> ways, TextWording text) {

  /** Ways that a wording can be written for. */
  private static final Set<Channel> WRITTEN = EnumSet.of(Channel.EMAIL, Channel.TEXT);

  private static final int LONGEST_TEXT = 5_000;

  void write(Cause draft, CauseChanges causes, Wordings wordings) {
    if (ways != null) {
      causes.goBy(draft.id(), sound(ways));
    }
    if (text != null) {
      String words = text.words() == null ? "" : text.words().replace("\0", "");
      if (words.length() > LONGEST_TEXT) {
        throw Problem.wrong("text.words", "A text message has at most 5,000 characters.");
      }
      Likeness likeness = text.likeness() == null ? Likeness.NOWHERE : text.likeness();
      wordings.write(draft, new TextWording(words, likeness));
    }
  }

  private static Ways sound(List<Channel> ways) {
    if (ways.isEmpty() || ways.contains(null) || EnumSet.copyOf(ways).size() < ways.size()) {
      throw Problem.wrong("ways", "Choose one way or more, each once.");
    }
    if (!WRITTEN.containsAll(ways)) {
      throw Problem.wrong("ways", "Nothing can be written for that way yet.");
    }
    return new Ways(ways);
  }
}
