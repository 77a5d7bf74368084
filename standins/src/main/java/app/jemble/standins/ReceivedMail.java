package app.jemble.standins;

import jakarta.mail.BodyPart;
import jakarta.mail.MessagingException;
import jakarta.mail.Multipart;
import jakarta.mail.Part;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.io.IOException;
import java.util.List;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;

/**
 * A mail as its reader sees it.
 *
 * @param reader the reader's address
 * @param returnTo where reports about it go: the envelope sender
 * @param answerTo where replies go: Reply-To, else From
 * @param leaveBy the address of RFC 8058, or an empty text
 */
record ReceivedMail(
    String reader,
    String returnTo,
    InternetAddress answerTo,
    String messageId,
    String references,
    String subject,
    String leaveBy,
    Document html,
    MimeMessage source) {

  static ReceivedMail of(PostOffice.Delivered arrived) throws MessagingException {
    MimeMessage source = arrived.message();
    String id = first(source, "Message-ID");
    String leave = first(source, "List-Unsubscribe").replaceAll("[<>\\s]", "");
    boolean oneClick = !first(source, "List-Unsubscribe-Post").isEmpty();
    return new ReceivedMail(
        arrived.to(),
        arrived.from(),
        (InternetAddress) source.getReplyTo()[0],
        id,
        (first(source, "References") + " " + id).strip(),
        source.getSubject() == null ? "" : source.getSubject(),
        oneClick ? leave : "",
        Jsoup.parse(html(source)),
        source);
  }

  List<String> pictures() {
    return html.select("img[src^=http]").eachAttr("src");
  }

  /** The links in the text; the one in the foot, by which one leaves, comes last. */
  List<String> links() {
    return html.select("a[href^=http]").eachAttr("href");
  }

  /** Whether it is about one thing alone: a single link, and no way to leave. */
  boolean asksForOnePress() {
    return leaveBy.isEmpty() && links().stream().distinct().count() == 1;
  }

  private static String first(MimeMessage source, String name) throws MessagingException {
    String[] values = source.getHeader(name);
    return values == null ? "" : values[0].replaceAll("\\s+", " ");
  }

  private static String html(Part part) throws MessagingException {
    try {
      if (part.isMimeType("text/html")) {
        return (String) part.getContent();
      }
      if (part.isMimeType("multipart/*")) {
        Multipart parts = (Multipart) part.getContent();
        for (int i = parts.getCount() - 1; i >= 0; i--) {
          BodyPart inside = parts.getBodyPart(i);
          String found = html(inside);
          if (!found.isEmpty()) {
            return found;
          }
        }
      }
      return "";
    } catch (IOException unreadable) {
      throw new MessagingException("a mail that cannot be read", unreadable);
    }
  }
}
