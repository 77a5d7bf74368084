package app.jemble.outbox;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Eventually;
import app.jemble.ServerTest;
import app.jemble.carrier.mail.HouseMailServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.time.Duration;
import java.util.List;
import java.util.stream.LongStream;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** A mail server that is full or keeps us out: the outbox says so, loses nothing and recovers. */
public class MailServerStatesTest extends ServerTest {

  private HouseMailServer server;
  private int serverPort;

  @Override
  protected int people() {
    return 3;
  }

  @Override
  protected int smtpPort() {
    return serverPort;
  }

  @BeforeClass
  @Override
  public void startAll() {
    try (ServerSocket free = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
      serverPort = free.getLocalPort();
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
    super.startAll();
    sql.sql("update message set state = 'withdrawn' where state = 'waiting'").update();
    api.signIn("orla", "lowen-quay");
  }

  @AfterClass(alwaysRun = true)
  @Override
  public void stopAll() {
    super.stopAll();
    try {
      if (server != null) {
        server.close();
      }
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  private long releaseToTen(String domain) {
    List<Long> people =
        LongStream.range(0, 10)
            .mapToObj(i -> addPerson("Ann", "Other", "ann" + i + "@" + domain))
            .toList();
    long mailing = draft(people, "Hello", "<p>Hello</p>");
    assertThat(release(mailing).status()).isEqualTo(200);
    return mailing;
  }

  private long count(long mailing, String state) {
    return sql.sql("select count(*) from message where cause_id = ? and state = ?")
        .params(List.of(mailing, state))
        .query(Long.class)
        .single();
  }

  private long copies() {
    return sql.sql("select count(*) from sent_copies").query(Long.class).single();
  }

  private JsonNode trouble() {
    return api.get("/api/outbox/tally").json().get("trouble");
  }

  @Test
  public void oneThatIsDownIsNamedAndNothingIsTakenUpUntilItAnswers() throws IOException {
    long before = copies();
    long mailing = releaseToTen("down.example");
    Eventually.holds(() -> assertThat(trouble().isNull()).as("no trouble").isFalse());
    assertThat(trouble().get("words").asString()).contains("" + serverPort);
    assertThat(count(mailing, "waiting")).isEqualTo(10);
    assertThat(copies()).as("nothing is written before the way is open").isEqualTo(before);
    assertThat(api.get("/api/outbox?who=ANN3@down").json()).hasSize(1);

    server = new HouseMailServer(serverPort, null, false, true);
    Eventually.holds(() -> assertThat(count(mailing, "sent")).isEqualTo(10));
    Eventually.holds(() -> assertThat(trouble().isNull()).isTrue());
  }

  @Test(dependsOnMethods = "oneThatIsDownIsNamedAndNothingIsTakenUpUntilItAnswers")
  public void oneThatWantsASignInKeepsAllWaitingAndIsNamed() {
    server.temper = HouseMailServer.Temper.WANTS_SIGN_IN;
    long mailing = releaseToTen("keeps-out.example");
    Eventually.holds(
        () -> assertThat(trouble().get("words").asString()).contains("530", "authentication"));
    assertThat(count(mailing, "waiting")).isEqualTo(10);
    server.temper = HouseMailServer.Temper.FINE;
    Eventually.holds(() -> assertThat(count(mailing, "sent")).isEqualTo(10));
    Eventually.holds(() -> assertThat(trouble().isNull()).isTrue());
  }

  @Test(dependsOnMethods = "oneThatIsDownIsNamedAndNothingIsTakenUpUntilItAnswers")
  public void oneThatIsFullIsTriedAgainLater() {
    server.temper = HouseMailServer.Temper.FULL;
    long mailing = releaseToTen("full.example");
    Eventually.holds(() -> assertThat(count(mailing, "deferred")).isEqualTo(10));
    assertThat(
            sql.sql("select distinct reason from message where cause_id = ?")
                .param(mailing)
                .query(String.class)
                .list())
        .containsExactly("452 4.3.1 the disk is full");
    server.temper = HouseMailServer.Temper.FINE;
    clock.advance(Duration.ofSeconds(70));
    Eventually.holds(() -> assertThat(count(mailing, "sent")).isEqualTo(10));
    assertThat(server.texts()).filteredOn(t -> t.contains("@full.example")).hasSize(10);
  }
}
