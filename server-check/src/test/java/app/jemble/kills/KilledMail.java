package app.jemble.kills;

import app.jemble.Mails;
import app.jemble.standins.PostOffice;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.Transport;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Properties;
import java.util.Random;
import java.util.Set;

/** What comes into the mailbox of a house whose processes are killed. */
final class KilledMail {

  private final PostOffice office;
  private final Random random;
  private final Set<String> answered = new HashSet<>();

  KilledMail(PostOffice office, Random random) {
    this.office = office;
    this.random = random;
  }

  /**
   * Some of those who have a message, and have not written back, do.
   *
   * @param at of those whose address ends so
   */
  void replies(int most, String at) {
    List<PostOffice.Delivered> all =
        new ArrayList<>(office.delivered().stream().filter(d -> d.to().endsWith(at)).toList());
    Collections.shuffle(all, random);
    int left = most;
    for (PostOffice.Delivered to : all) {
      if (left > 0 && answered.add(to.to())) {
        String first = Mails.header(to.message(), "Message-ID");
        put(to.to(), "<reply-" + answered.size() + "@reader.test>", first);
        left--;
      }
    }
  }

  /** A mail that answers nothing; answers its Message-ID. */
  String probe(int number) {
    String id = "<probe-" + number + "@reader.test>";
    put("stranger@reader.test", id, null);
    return id;
  }

  private void put(String from, String id, String answers) {
    Properties properties = new Properties();
    properties.put("mail.smtp.host", "127.0.0.1");
    properties.put("mail.smtp.port", Integer.toString(office.smtpPort()));
    properties.put("mail.smtp.from", from);
    try {
      MimeMessage mail = new Known(Session.getInstance(properties), id);
      mail.setFrom(new InternetAddress(from));
      mail.setRecipient(Message.RecipientType.TO, new InternetAddress("orla@ternquay.example"));
      mail.setSubject("A word");
      if (answers != null) {
        mail.setHeader("In-Reply-To", answers);
      }
      mail.setText("Here I am.");
      Transport.send(mail);
    } catch (MessagingException e) {
      throw new IllegalStateException("the post office takes everything", e);
    }
  }

  /** A mail that keeps the Message-ID it is given. */
  private static final class Known extends MimeMessage {
    private final String id;

    Known(Session session, String id) {
      super(session);
      this.id = id;
    }

    @Override
    protected void updateMessageID() throws MessagingException {
      setHeader("Message-ID", id);
    }
  }
}
