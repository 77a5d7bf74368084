package app.jemble.occasion;

import app.jemble.ServerTest;
import jakarta.mail.internet.MimeMessage;
import java.time.Duration;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.BeforeClass;

/** Days that come round to nobody but those whom a trial gives one. */
public abstract class OccasionTrial extends ServerTest {

  protected static final ZoneId HOUSE = ZoneId.of("Europe/London");

  protected OccasionRun run;
  protected int named;

  @Override
  protected int people() {
    return 2;
  }

  @Override
  protected Duration readersDay() {
    return Duration.ofDays(30);
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api.signIn("orla", "lowen-quay");
    run = application.getBean(OccasionRun.class);
    sql.sql("update sending_rules set hours = null").update();
    sql.sql("update person set birthday = null").update();
  }

  /** A standing mailing on birthdays. */
  protected final Map<String, Object> body(String leaves) {
    Map<String, Object> body = new HashMap<>();
    body.put("name", "Birthday " + ++named);
    body.put("topicId", 1);
    body.put("field", "birthday");
    body.put("kind", "YEARLY");
    body.put("offset", 0);
    body.put("rounds", List.of());
    body.put("whom", List.of());
    body.put("at", "09:00");
    body.put("leaves", leaves);
    body.put("card", null);
    body.put("subject", "{{years}} today");
    body.put("body", "<p>Dear {{first_name}}, you are {{years}}.</p>");
    body.put("letterheadId", null);
    body.put("version", 0);
    return body;
  }

  protected final List<MimeMessage> mails(String address) {
    return office.delivered().stream()
        .filter(d -> d.to().equals(address))
        .map(d -> d.message())
        .toList();
  }
}
