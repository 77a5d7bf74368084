package app.jemble.carrier.mail;

import app.jemble.core.message.OutgoingMessage;
import app.jemble.settings.JembleSettings;
import org.springframework.stereotype.Service;

/** The way to the mail server. */
@Service
public class Handover {

  private final JembleSettings settings;

  Handover(JembleSettings settings) {
    this.settings = settings;
  }

  /** A connection to be kept and closed by the caller. */
  MailConnection open() {
    return new MailConnection(settings.smtp());
  }

  /** Sends one message by itself, outside the outbox, such as a copy to oneself. */
  public HandoverResult sendOnce(OutgoingMessage message) {
    try (MailConnection connection = open()) {
      return connection.send(
          MimeWriter.write(message), new Envelope(message.returnAddress(), message.to().address()));
    }
  }

  /** The octets of a message exactly as they would leave. */
  public byte[] write(OutgoingMessage message) {
    return MimeWriter.write(message);
  }
}
