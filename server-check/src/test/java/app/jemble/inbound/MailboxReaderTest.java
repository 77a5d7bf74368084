package app.jemble.inbound;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jemble.ServerTest;
import jakarta.mail.MessagingException;
import java.util.List;
import java.util.Locale;
import org.testng.annotations.Test;

/** What the mail server does not hand over is asked for again, and nothing behind it is lost. */
public class MailboxReaderTest extends ServerTest {

  private static final String NAME = "post@127.0.0.1";

  @Override
  protected int people() {
    return 10;
  }

  private static String mail(String name) {
    return String.format(
        Locale.ROOT,
        "From: Bea <bea@private.example>\nSubject: %1$s\nMessage-ID: <%1$s@private.example>\n\nHello.\n",
        name);
  }

  private List<String> taken(String like) {
    return sql.sql("select subject from inbound_mail where subject like ? order by id")
        .param(like)
        .query(String.class)
        .list();
  }

  @Test
  public void aMailThatIsNotHandedOverIsAskedForAgain() throws MessagingException {
    MailboxReader reader = application.getBean(MailboxReader.class);
    StubbornFolder inbox = new StubbornFolder(2, mail("late"), mail("late-behind"));
    for (int i = 0; i < 2; i++) {
      assertThatThrownBy(() -> reader.readNew(NAME, inbox, inbox))
          .isInstanceOf(MessagingException.class)
          .hasMessageContaining("was not handed over");
      assertThat(taken("late%")).as("the one behind waits for it").isEmpty();
    }
    reader.readNew(NAME, inbox, inbox);
    assertThat(taken("late%")).containsExactly("late", "late-behind");
  }
}
