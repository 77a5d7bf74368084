package app.jemble.core.message;

import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * One person's message, ready to be written as MIME.
 *
 * @param messageId with angle brackets, the same at every try
 * @param date when it leaves
 * @param subject one line
 * @param html a whole HTML document
 * @param text the plain text of the same
 * @param links where the counted links lead, in order
 * @param leaveAddress the address to leave by one click (RFC 8058), when the message has one
 * @param returnAddress the envelope sender, which names the message
 */
public record OutgoingMessage(
    String messageId,
    Instant date,
    Mailbox from,
    Mailbox to,
    String subject,
    String html,
    String text,
    ThreadPlace thread,
    List<String> links,
    Optional<String> leaveAddress,
    String returnAddress) {
  public OutgoingMessage {
    links = List.copyOf(links);
  }
}
