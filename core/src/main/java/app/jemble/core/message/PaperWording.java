package app.jemble.core.message;

import app.jemble.core.paper.LetterForm;
import app.jemble.core.reach.Channel;

/**
 * What a letter on paper says, and how it lies on its sheet; or which document it is made of.
 *
 * @param subject template text
 * @param body template text, safe HTML; kept, but not said, where the letter is of a document
 * @param documentId 0 where the letter says the body
 * @param documentVersion which version of the document; 0 with it
 */
public record PaperWording(
    String subject, String body, LetterForm form, long documentId, int documentVersion)
    implements Wording {

  public static final PaperWording EMPTY = written("", "", LetterForm.DIN_B);

  /** A letter that is no document's. */
  public static PaperWording written(String subject, String body, LetterForm form) {
    return new PaperWording(subject, body, form, 0, 0);
  }

  /** Whether it is made of a document, and so lies on its sheet as that does. */
  public boolean usesDocument() {
    return documentId != 0;
  }

  @Override
  public Channel channel() {
    return Channel.POST;
  }

  public LetterText.Written written() {
    return new LetterText.Written(subject, body);
  }

  /** The same form, other words, which no document says. */
  public PaperWording saying(LetterText.Written other) {
    return written(other.subject(), other.body(), form);
  }
}
