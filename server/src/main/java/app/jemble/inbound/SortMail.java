package app.jemble.inbound;

import app.jemble.core.response.InboundMail;
import app.jemble.core.response.MailSorter;
import app.jemble.core.response.SortedMail;
import jakarta.mail.MessagingException;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import tools.jackson.databind.ObjectMapper;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Says of mails in files what Jemble takes them for: one line of JSON each. */
public final class SortMail {

  private static final ObjectMapper JSON = new JsonMapper();

  private SortMail() {}

  /**
   * @return 0, or 1 when a file could not be read; the others are sorted all the same
   */
  public static int run(List<String> files, PrintStream out) {
    int status = 0;
    for (String file : files) {
      ObjectNode line = JSON.createObjectNode().put("file", file);
      try {
        sort(Files.readAllBytes(Path.of(file)), line);
      } catch (IOException | MessagingException unreadable) {
        line.put("error", "cannot be read: " + unreadable);
        status = 1;
      }
      out.println(JSON.writeValueAsString(line));
    }
    return status;
  }

  private static void sort(byte[] mime, ObjectNode line) throws MessagingException {
    InboundMail mail = InboundParser.parse(mime);
    SortedMail sorted = MailSorter.sort(mail);
    line.put("kind", kind(sorted));
    if (sorted instanceof SortedMail.Returned back) {
      line.put("for", back.forGood() ? "good" : "now");
      back.addresses().forEach(line.putArray("addresses")::add);
      line.put("code", back.code());
      line.put("why", back.why());
    } else if (sorted instanceof SortedMail.Delayed delayed) {
      delayed.addresses().forEach(line.putArray("addresses")::add);
    } else if (sorted instanceof SortedMail.Complaint complaint) {
      complaint.addresses().forEach(line.putArray("addresses")::add);
    } else if (sorted instanceof SortedMail.AutoReply auto) {
      line.put("why", auto.why());
    } else if (sorted instanceof SortedMail.UnreadReturn unread) {
      line.put("why", unread.why());
    }
    SortedMail.related(mail).stream().findFirst().ifPresent(id -> line.put("related", id));
  }

  private static String kind(SortedMail sorted) {
    if (sorted instanceof SortedMail.Reply) {
      return "reply";
    }
    if (sorted instanceof SortedMail.AutoReply) {
      return "auto-reply";
    }
    if (sorted instanceof SortedMail.Returned) {
      return "returned";
    }
    if (sorted instanceof SortedMail.Delayed) {
      return "delayed";
    }
    if (sorted instanceof SortedMail.Challenge) {
      return "challenge";
    }
    return sorted instanceof SortedMail.Complaint ? "complaint" : "unread return";
  }
}
