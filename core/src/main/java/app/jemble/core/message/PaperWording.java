package app.jemble.core.message;

import app.jemble.core.paper.LetterForm;
import app.jemble.core.reach.Channel;

/**
 * What a letter on paper says, and how it lies on its sheet.
 *
 * @param subject template text
 * @param body template text, safe HTML
 */
public record PaperWording(String subject, String body, LetterForm form) implements Wording {

  public static final PaperWording EMPTY = new PaperWording("", "", LetterForm.DIN_B);

  @Override
  public Channel channel() {
    return Channel.POST;
  }

  public LetterText.Written written() {
    return new LetterText.Written(subject, body);
  }

  /** The same form, other words. */
  public PaperWording saying(LetterText.Written other) {
    return new PaperWording(other.subject(), other.body(), form);
  }
}
