package app.jemble.carrier.mail;

import app.jemble.carrier.Carrier;
import app.jemble.carrier.HandoverResult;
import app.jemble.carrier.Lines;
import app.jemble.carrier.Parcel;
import app.jemble.core.message.Outgoing;
import app.jemble.core.message.OutgoingMessage;
import app.jemble.core.reach.Channel;
import app.jemble.outside.OutsideServices;
import app.jemble.settings.JembleSettings;
import org.springframework.stereotype.Service;

/** Takes mails to the mail server (RFC 5321). */
@Service
public class MailCarrier implements Carrier {

  private final OutsideServices services;

  MailCarrier(OutsideServices services) {
    this.services = services;
  }

  @Override
  public Channel channel() {
    return Channel.EMAIL;
  }

  @Override
  public String where() {
    JembleSettings.Smtp server = services.mailServer();
    return server.host() + ":" + server.port();
  }

  @Override
  public Object setting() {
    return services.mailServer();
  }

  @Override
  public int lineCount() {
    return services.mailServer().connections();
  }

  @Override
  public Lines lines() {
    return new MailConnections(services.mailServer());
  }

  @Override
  public byte[] write(Outgoing message) {
    return MimeWriter.write((OutgoingMessage) message);
  }

  @Override
  public Parcel parcel(Outgoing message, byte[] octets) {
    OutgoingMessage mail = (OutgoingMessage) message;
    return new Parcel(octets, mail.returnAddress(), mail.to().address());
  }

  /** Sends one mail by itself, outside the outbox, such as a copy to oneself. */
  public HandoverResult sendOnce(OutgoingMessage mail) {
    try (MailConnection connection = new MailConnection(services.mailServer())) {
      return connection.send(parcel(mail, write(mail)), null, () -> {});
    }
  }
}
