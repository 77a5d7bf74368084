package app.jemble.release;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Eventually;
import app.jemble.ServerTest;
import app.jemble.account.AccountService;
import jakarta.mail.MessagingException;
import jakarta.mail.Multipart;
import jakarta.mail.internet.MimeMessage;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** After the last message of a mailing its sender is told, once, what became of it. */
public class SummaryMailTest extends ServerTest {

  @Override
  protected int people() {
    return 5;
  }

  @BeforeClass
  @Override
  public void startAll() {
    super.startAll();
    api.signIn("orla", "lowen-quay");
  }

  private List<MimeMessage> summaries(long mailing) throws MessagingException, IOException {
    List<MimeMessage> found = new ArrayList<>();
    for (MimeMessage mail : office.mailbox("orla")) {
      boolean sumsUp = "“Test mailing” has gone".equals(mail.getSubject());
      if (sumsUp && text(mail).contains("/responses/" + mailing + "\r\n")) {
        found.add(mail);
      }
    }
    return found;
  }

  private static String text(MimeMessage mail) throws MessagingException, IOException {
    return ((Multipart) mail.getContent()).getBodyPart(0).getContent().toString();
  }

  @Test
  public void theSenderIsToldOnceWithTheNumbersAndTheWayToTheResponses() throws Exception {
    long one = addPerson("Ann", "Other", "ann@sums.example");
    long two = addPerson("Bea", "Other", "bea@sums.example");
    long mailing = draft(List.of(one, two), "Hello", "<p>Hello</p>");
    release(mailing);
    awaitSettled(mailing);
    Eventually.holds(() -> assertThat(summaries(mailing)).hasSize(1));
    MimeMessage mail = summaries(mailing).get(0);
    assertThat(mail.getHeader("Auto-Submitted")).containsExactly("auto-generated");
    assertThat(text(mail)).contains("“Test mailing” has gone: 2 sent.");
    application.getBean(SummaryMail.class).sumUp(mailing);
    assertThat(summaries(mailing)).hasSize(1);
  }

  @Test
  public void aMailServerThatIsAwayMakesItWait() {
    long one = addPerson("Ann", "Other", "ann2@sums.example");
    long two = addPerson("Bea", "Other", "bea2@sums.example");
    long mailing = draft(List.of(one, two), "Hello", "<p>Hello</p>");
    sql.sql("update workspace set hold_seconds = 3600").update();
    release(mailing);
    sql.sql("update workspace set hold_seconds = 0").update();
    SummaryMapper mapper = application.getBean(SummaryMapper.class);
    assertThat(mapper.toSumUp()).doesNotContain(mailing);
    sql.sql("update message set state = 'refused' where cause_id = ?").param(mailing).update();
    assertThat(mapper.summedUp(mailing, clock.instant())).isEqualTo(1);
    assertThat(mapper.summedUp(mailing, clock.instant())).as("a second process").isZero();
    mapper.notSummedUp(mailing);
    assertThat(mapper.toSumUp()).contains(mailing);
  }

  @Test
  public void theCountsNameWhatNeedsAnEye() {
    assertThat(
            application
                .getBean(SummaryMail.class)
                .counts(
                    application.getBean(AccountService.class).findByLogin("orla"),
                    new SummaryMapper.Sums("July news", 1412, 3, 1, 0, 2)))
        .isEqualTo("1,412 sent, 3 refused, 1 in doubt, for you to settle in the outbox");
  }
}
