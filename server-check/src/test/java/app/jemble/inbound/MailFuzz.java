package app.jemble.inbound;

import java.nio.charset.StandardCharsets;
import org.springframework.context.ApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Random mails, taken in as if they lay in the mailbox. */
public final class MailFuzz {

  private static final String BOX = "random@mailbox";

  private final MailboxReader reader;
  private final JdbcClient sql;
  private final RandomMails mails;
  private long uid;
  private String last = "";

  public MailFuzz(ApplicationContext application, long seed) {
    reader = application.getBean(MailboxReader.class);
    sql = application.getBean(JdbcClient.class);
    application.getBean(InboundMapper.class).know(BOX);
    mails = new RandomMails(seed);
  }

  /** Takes the next in; answers how many milliseconds that took. */
  public double next() {
    byte[] mime = mails.next();
    last = new String(mime, StandardCharsets.UTF_8);
    long begun = System.nanoTime();
    reader.take(BOX, 1, ++uid, mime);
    return (System.nanoTime() - begun) / 1e6;
  }

  /** What was taken in last, to be told when it went wrong. */
  public String last() {
    return last;
  }

  /** Whether the mailbox is read to its end: no mail has stopped it. */
  public boolean isReadToTheEnd() {
    return sql.sql("select last_uid from mailbox where name = ?")
            .param(BOX)
            .query(Long.class)
            .single()
        == uid;
  }
}
