package app.jemble.core.message;

import app.jemble.core.reach.Channel;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * One person's mail, ready to be written as MIME.
 *
 * @param messageId with angle brackets, the same at every try
 * @param date when it leaves
 * @param replyTo where replies go, when not to the sender
 * @param subject one line
 * @param html a whole HTML document
 * @param text the plain text of the same
 * @param pictures those the HTML shows, carried inside
 * @param files attached
 * @param links where the counted links lead, in order; empty where a link turned out not to be one
 * @param leaveAddress the address to leave by one click (RFC 8058), when the message has one
 * @param returnAddress the envelope sender, which names the message
 * @param automatic written by no person (RFC 3834 section 5), so that no software answers
 */
public record OutgoingMessage(
    String messageId,
    Instant date,
    Mailbox from,
    Optional<Mailbox> replyTo,
    Mailbox to,
    String subject,
    String html,
    String text,
    List<InlinePicture> pictures,
    List<AttachedFile> files,
    ThreadPlace thread,
    List<String> links,
    Optional<String> leaveAddress,
    String returnAddress,
    boolean automatic)
    implements Outgoing {
  public OutgoingMessage {
    pictures = List.copyOf(pictures);
    files = List.copyOf(files);
    links = List.copyOf(links);
  }

  @Override
  public Channel channel() {
    return Channel.EMAIL;
  }
}
