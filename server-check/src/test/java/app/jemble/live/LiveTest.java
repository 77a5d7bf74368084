package app.jemble.live;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.ServerTest;
import java.util.List;
import java.util.Queue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.stream.Stream;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** Screens are told of what changes, whoever changed it. */
public class LiveTest extends ServerTest {

  @Override
  protected int people() {
    return 10;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api.signIn("orla", "lowen-quay");
  }

  @Test
  public void aColleagueIsToldOfWhatLeaves() {
    Api tomas = new Api("http://127.0.0.1:" + port);
    tomas.signIn("tomas", "lowen-quay");
    Queue<String> told = new ConcurrentLinkedQueue<>();
    try (Stream<String> lines = tomas.stream("/api/live")) {
      CompletableFuture.runAsync(
          () ->
              lines.filter(l -> l.startsWith("data:")).map(l -> l.substring(5)).forEach(told::add));
      Eventually.holds(() -> assertThat(told).contains("everything"));
      // A change is told once a look before it has been made.
      Eventually.holds(
          () -> {
            long person = addPerson("Live", "Quay", "live" + told.size() + "@quay.example");
            release(draft(List.of(person), "Live", "<p>Live</p>"));
            assertThat(String.join(" ", told)).contains("mailings").contains("outbox");
          });
    }
  }

  @Test
  public void whoIsNotSignedInIsToldNothing() {
    assertThat(new Api("http://127.0.0.1:" + port).get("/api/live").status()).isEqualTo(401);
  }
}
