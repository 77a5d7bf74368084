package app.jemble.result;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Mails;
import app.jemble.ServerTest;
import app.jemble.inbound.InboundService;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** Writing to the quiet again, in the same thread; never to someone who answered meanwhile. */
public class FollowUpTest extends ServerTest {

  @Override
  protected int people() {
    return 10;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api.signIn("orla", "lowen-quay");
  }

  @Test
  public void theQuietGetASecondWordInTheThreadAndALateReplierDoesNot() throws Exception {
    long quiet = addPerson("Quiet", "One", "quiet@follow.test");
    long late = addPerson("Late", "One", "late@follow.test");
    long first = draft(List.of(quiet, late), "First word", "<p>First</p>");
    release(first);
    awaitSettled(first);

    String path = "/api/responses/" + first + "/follow-up";
    long second =
        api.post(path, Map.of("standings", List.of("NOTHING", "MACHINE_OPENED")))
            .json()
            .get("id")
            .asLong();
    api.put("/api/mailings/" + second, change(second, "First word", "<p>Second</p>"));
    sql.sql("update workspace set hold_seconds = 600").update();
    release(second);
    sql.sql("update workspace set hold_seconds = 0").update();

    // Both are in the outbox; one of them answers the first message before the second leaves.
    String token = messageValue(first, late, "token");
    application
        .getBean(InboundService.class)
        .receive(
            ("From: late@follow.test\r\nMessage-ID: <late@follow.test>\r\nIn-Reply-To: <"
                    + token
                    + "@ternquay.example>\r\n\r\nHere I am.")
                .getBytes(StandardCharsets.UTF_8));
    clock.advance(java.time.Duration.ofSeconds(601));
    awaitSettled(second);

    assertThat(messageValue(second, quiet, "state")).isEqualTo("sent");
    assertThat(messageValue(second, late, "state")).isEqualTo("withdrawn");
    assertThat(messageValue(second, late, "reason")).contains("replied in the meantime");
    String firstId = "<" + messageValue(first, quiet, "token") + "@ternquay.example>";
    assertThat(
            office.delivered().stream()
                .filter(d -> d.to().equals("quiet@follow.test"))
                .map(d -> Mails.header(d.message(), "In-Reply-To"))
                .toList())
        .containsExactly("", firstId);
    assertThat(office.delivered()).filteredOn(d -> d.to().equals("late@follow.test")).hasSize(1);
  }

  @Test
  public void aDraftCannotBeFollowedUp() {
    long person = addPerson("D", "D", "draft@follow.test");
    long mailing = draft(List.of(person), "Draft", "<p>x</p>");
    assertThat(
            api.post(
                    "/api/responses/" + mailing + "/follow-up",
                    Map.of("standings", List.of("NOTHING")))
                .status())
        .isEqualTo(409);
  }
}
