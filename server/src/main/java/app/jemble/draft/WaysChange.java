package app.jemble.draft;

import app.jemble.cause.Cause;
import app.jemble.cause.CauseChanges;
import app.jemble.cause.Wordings;
import app.jemble.core.message.NoticeWording;
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
 * @param notice what is said to the app
 */
record WaysChange(List<Channel> ways, TextWording text, NoticeWording notice) {

  /** Ways that a wording can be written for. */
  private static final Set<Channel> WRITTEN = EnumSet.of(Channel.EMAIL, Channel.TEXT, Channel.APP);

  private static final int LONGEST_TEXT = 5_000;
  private static final int LONGEST_TITLE = 500;
  private static final int LONGEST_LINK = 2_000;

  void write(Cause draft, CauseChanges causes, Wordings wordings) {
    if (ways != null) {
      causes.goBy(draft.id(), sound(ways));
    }
    if (text != null) {
      String words = sound(text.words());
      if (words.length() > LONGEST_TEXT) {
        throw Problem.wrong("text.words", "A text message has at most 5,000 characters.");
      }
      Likeness likeness = text.likeness() == null ? Likeness.NOWHERE : text.likeness();
      wordings.write(draft, new TextWording(words, likeness));
    }
    if (notice != null) {
      wordings.write(draft, sound(notice));
    }
  }

  /** With their merge fields texts may be longer than they are once these are filled. */
  private static NoticeWording sound(NoticeWording notice) {
    NoticeWording sound =
        new NoticeWording(sound(notice.title()), sound(notice.words()), sound(notice.link()));
    if (sound.title().length() > LONGEST_TITLE) {
      throw Problem.wrong("notice.title", "The title of a notice has at most 500 characters.");
    }
    if (sound.words().length() > LONGEST_TEXT) {
      throw Problem.wrong("notice.words", "The text of a notice has at most 5,000 characters.");
    }
    if (sound.link().length() > LONGEST_LINK) {
      throw Problem.wrong("notice.link", "A link has at most 2,000 characters.");
    }
    return sound;
  }

  private static String sound(String words) {
    return words == null ? "" : words.replace("\0", "");
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
