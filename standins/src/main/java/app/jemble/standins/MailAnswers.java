package app.jemble.standins;

import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.Transport;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.InternetHeaders;
import jakarta.mail.internet.MimeBodyPart;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeMultipart;
import java.nio.charset.StandardCharsets;
import java.util.Date;
import java.util.Enumeration;
import java.util.List;
import java.util.Properties;

/** What readers and mail hosts write back, by SMTP. */
final class MailAnswers {

  private static final List<String> WORDS =
      List.of(
          "Yes please, keep me a place.",
          "Thank you! Could I bring a friend?",
          "Sorry, that week is no good for me.",
          "What would the longer mast cost?",
          "I settled it at the desk this morning.",
          "Happy to help, tell me when.");

  private final int smtpPort;

  MailAnswers(int smtpPort) {
    this.smtpPort = smtpPort;
  }

  /** A person answers in the thread. */
  void reply(ReceivedMail mail) throws MessagingException {
    String words = WORDS.get(Math.floorMod(mail.messageId().hashCode(), WORDS.size()));
    MimeMessage answer = answer(mail);
    answer.setText(words + "\n\n> " + mail.subject() + "\n", StandardCharsets.UTF_8.name());
    send(answer, mail.reader());
  }

  /** An out-of-office reply (RFC 3834). */
  void away(ReceivedMail mail) throws MessagingException {
    MimeMessage answer = answer(mail);
    answer.setSubject("Out of office: " + mail.subject(), StandardCharsets.UTF_8.name());
    answer.setHeader("Auto-Submitted", "auto-replied");
    answer.setText("I am away until Monday week.", StandardCharsets.UTF_8.name());
    send(answer, mail.reader());
  }

  private MimeMessage answer(ReceivedMail mail) throws MessagingException {
    MimeMessage answer = new MimeMessage(session(mail.reader()));
    answer.setFrom(new InternetAddress(mail.reader()));
    answer.setRecipient(Message.RecipientType.TO, mail.answerTo());
    answer.setSubject("Re: " + mail.subject(), StandardCharsets.UTF_8.name());
    answer.setHeader("In-Reply-To", mail.messageId());
    answer.setHeader("References", mail.references());
    answer.setSentDate(new Date());
    return answer;
  }

  /** A delivery report (RFC 3464) from the reader's mail host. */
  void report(ReceivedMail mail, Profile.Mailbox mailbox) throws MessagingException {
    boolean full = mailbox == Profile.Mailbox.FULL;
    String code = full ? "5.2.2" : "5.1.1";
    String words = full ? "552 5.2.2 mailbox is full" : "550 5.1.1 no such mailbox here";
    String host = mail.reader().substring(mail.reader().indexOf('@') + 1);

    MimeBodyPart people = new MimeBodyPart();
    people.setText("Your mail to " + mail.reader() + " was not delivered: " + words + "\n");
    MimeBodyPart machines =
        part(
            "message/delivery-status",
            "Reporting-MTA: dns; "
                + host
                + "\r\n\r\nFinal-Recipient: rfc822; "
                + mail.reader()
                + "\r\nAction: failed\r\nStatus: "
                + code
                + "\r\nDiagnostic-Code: smtp; "
                + words
                + "\r\n");
    MimeBodyPart original = part("text/rfc822-headers", headers(mail.source()));
    MimeMultipart report =
        new MimeMultipart("report; report-type=delivery-status", people, machines, original);

    String reporter = "mailer-daemon@" + host;
    MimeMessage message = new MimeMessage(session(reporter));
    message.setFrom(new InternetAddress(reporter));
    message.setRecipient(Message.RecipientType.TO, new InternetAddress(mail.returnTo()));
    message.setSubject("Undelivered mail returned to sender");
    message.setHeader("Auto-Submitted", "auto-replied");
    message.setSentDate(new Date());
    message.setContent(report);
    send(message, reporter);
  }

  private static MimeBodyPart part(String type, String content) throws MessagingException {
    InternetHeaders headers = new InternetHeaders();
    headers.addHeader("Content-Type", type);
    return new MimeBodyPart(headers, content.getBytes(StandardCharsets.US_ASCII));
  }

  private static String headers(MimeMessage source) throws MessagingException {
    StringBuilder all = new StringBuilder();
    Enumeration<String> lines = source.getAllHeaderLines();
    while (lines.hasMoreElements()) {
      all.append(lines.nextElement()).append("\r\n");
    }
    return all.toString();
  }

  /**
   * Automatic mail has an empty envelope sender (RFC 3834 section 3.3, RFC 3464); this mail host
   * takes none, so such mail names its writer and is known by its headers and parts alone.
   */
  private Session session(String envelopeFrom) {
    Properties p = new Properties();
    p.put("mail.smtp.host", "127.0.0.1");
    p.put("mail.smtp.port", Integer.toString(smtpPort));
    p.put("mail.smtp.timeout", "20000");
    p.put("mail.smtp.connectiontimeout", "5000");
    p.put("mail.smtp.from", envelopeFrom);
    return Session.getInstance(p);
  }

  private void send(MimeMessage message, String envelopeFrom) throws MessagingException {
    message.saveChanges();
    try (Transport transport = session(envelopeFrom).getTransport("smtp")) {
      transport.connect();
      transport.sendMessage(message, message.getAllRecipients());
    }
  }
}
