package app.jemble.core.message;

import app.jemble.core.document.Filling;
import app.jemble.core.paper.LetterForm;
import app.jemble.core.reach.Address;
import app.jemble.core.reach.Channel;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * One person's letter on paper, ready to be laid on its sheets.
 *
 * @param token its public token; empty for what does not leave
 * @param address the lines of the reader's address, the name first
 * @param senderLine the sender's own address, one line
 * @param dated the day of the letter, as its reader writes days
 * @param subject one line
 * @param header what stands above, as HTML
 * @param body what it says, as HTML
 * @param footer what stands below, as HTML
 * @param language of the reader
 * @param filling what its document is filled with, where it is made of one
 */
public record OutgoingSheet(
    String token,
    Address.Postal to,
    List<String> address,
    String senderLine,
    String dated,
    String subject,
    String header,
    String body,
    String footer,
    Optional<Letterhead> head,
    LetterForm form,
    Locale language,
    Optional<Filling> filling)
    implements Outgoing {

  public OutgoingSheet {
    address = List.copyOf(address);
  }

  @Override
  public Channel channel() {
    return Channel.POST;
  }

  /** Nothing on paper is counted. */
  @Override
  public List<String> links() {
    return List.of();
  }

  /** The words of its text, without what stands around them. */
  public String text() {
    return PlainText.fromHtml(body).strip();
  }
}
