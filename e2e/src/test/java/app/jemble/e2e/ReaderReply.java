package app.jemble.e2e;

import app.jemble.standins.PostOffice.Delivered;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.Transport;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.util.Properties;

/** What a reader does who presses “reply”. */
final class ReaderReply {

  private ReaderReply() {}

  /** Answers a mail that came, by its reader. */
  static void to(Delivered mail, int smtpPort, String whom, String words)
      throws MessagingException {
    Properties properties = new Properties();
    properties.put("mail.smtp.host", "127.0.0.1");
    properties.put("mail.smtp.port", Integer.toString(smtpPort));
    MimeMessage reply = new MimeMessage(Session.getInstance(properties));
    reply.setFrom(new InternetAddress(mail.to()));
    reply.setRecipient(Message.RecipientType.TO, new InternetAddress(whom));
    reply.setSubject("Re: " + mail.message().getSubject());
    reply.setHeader("In-Reply-To", mail.message().getMessageID());
    reply.setText(words);
    Transport.send(reply);
  }
}
