package app.jemble.cause;

import app.jemble.core.message.NoticeWording;
import app.jemble.core.message.PaperWording;
import app.jemble.core.message.SafeHtml;
import app.jemble.core.message.TextWording;
import app.jemble.core.message.TextWording.Likeness;
import app.jemble.core.reach.Channel;
import app.jemble.core.reach.Ways;
import app.jemble.document.DocumentService;
import app.jemble.problem.Problem;
import java.util.EnumSet;
import java.util.List;
import org.springframework.stereotype.Service;

/** The ways of a cause and what it says on those beside e-mail, as colleagues write them. */
@Service
public class CauseWays {

  private static final int LONGEST_TEXT = 5_000;
  private static final int LONGEST_TITLE = 500;
  private static final int LONGEST_LINK = 2_000;
  private static final int LONGEST_LETTER = 200_000;

  private final CauseChanges causes;
  private final Wordings wordings;
  private final DocumentService documents;

  CauseWays(CauseChanges causes, Wordings wordings, DocumentService documents) {
    this.causes = causes;
    this.wordings = wordings;
    this.documents = documents;
  }

  public WaysBody of(Cause cause) {
    return new WaysBody(
        cause.ways().inOrder(),
        wordings.text(cause),
        wordings.notice(cause),
        wordings.paper(cause));
  }

  /**
   * Writes what is sound; a problem when something is not.
   *
   * @param wanted null changes nothing
   */
  public void write(Cause cause, WaysBody wanted) {
    if (wanted == null) {
      return;
    }
    if (wanted.ways() != null) {
      causes.goBy(cause.id(), sound(wanted.ways()));
    }
    if (wanted.text() != null) {
      wordings.write(cause, sound(wanted.text()));
    }
    if (wanted.notice() != null) {
      wordings.write(cause, sound(wanted.notice()));
    }
    if (wanted.paper() != null) {
      PaperWording paper = sound(wanted.paper());
      mustBeOpen(paper, wordings.paper(cause));
      wordings.write(cause, paper);
    }
  }

  /** Whose document a letter is made of stays so whoever saves it. */
  private void mustBeOpen(PaperWording wanted, PaperWording now) {
    boolean same =
        wanted.documentId() == now.documentId()
            && wanted.documentVersion() == now.documentVersion();
    if (wanted.usesDocument() && !same) {
      documents.mustBeOpen(wanted.documentId(), wanted.documentVersion());
    }
  }

  /** Ways as they can be; a problem where they cannot. */
  public static Ways sound(List<Channel> ways) {
    if (ways.isEmpty() || ways.contains(null) || EnumSet.copyOf(ways).size() < ways.size()) {
      throw Problem.wrong("ways", "Choose one way or more, each once.");
    }
    return new Ways(ways);
  }

  /** A text as it can be kept; a problem where it cannot. */
  public static TextWording sound(TextWording text) {
    String words = sound(text.words());
    if (words.length() > LONGEST_TEXT) {
      throw Problem.wrong("text.words", "A text message has at most 5,000 characters.");
    }
    return new TextWording(words, text.likeness() == null ? Likeness.NOWHERE : text.likeness());
  }

  /**
   * A notice as it can be kept; a problem where it cannot. With their merge fields texts may be
   * longer than they are once these are filled.
   */
  public static NoticeWording sound(NoticeWording notice) {
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

  private static PaperWording sound(PaperWording paper) {
    PaperWording sound =
        new PaperWording(
            sound(paper.subject()),
            SafeHtml.clean(sound(paper.body())),
            paper.form() == null ? PaperWording.EMPTY.form() : paper.form(),
            paper.documentId(),
            paper.usesDocument() ? paper.documentVersion() : 0);
    if (sound.subject().length() > LONGEST_TITLE) {
      throw Problem.wrong("paper.subject", "The subject of a letter has at most 500 characters.");
    }
    if (sound.body().length() > LONGEST_LETTER) {
      throw Problem.wrong("paper.body", "A letter has at most 200,000 characters.");
    }
    return sound;
  }

  private static String sound(String words) {
    return words == null ? "" : words.replace("\0", "");
  }
}
