package app.jemble.outbox;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.reach.Channel;
import app.jemble.settings.JembleSettings;
import java.lang.reflect.Proxy;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import org.testng.annotations.Test;

/** Where a process is in the order of what is due. */
public class DueQueueTest {

  private static final JembleSettings SETTINGS =
      new JembleSettings(
          null,
          null,
          null,
          null,
          null,
          null,
          new JembleSettings.Outbox(Duration.ofMillis(1), 20, Duration.ofMinutes(1), null),
          null);

  /**
   * Whoever claims has a connection, whoever asks whether anything is due waits for one. Where the
   * first waited for the second, as many workers as there are connections would wait for good.
   */
  @Test(timeOut = 60_000)
  public void whoeverAsksKeepsNobodyFromClaiming() throws InterruptedException {
    CountDownLatch asked = new CountDownLatch(1);
    CountDownLatch connectionFree = new CountDownLatch(1);
    HandoverMapper mapper =
        (HandoverMapper)
            Proxy.newProxyInstance(
                HandoverMapper.class.getClassLoader(),
                new Class<?>[] {HandoverMapper.class},
                (self, method, given) -> {
                  if (method.getName().equals("claim")) {
                    return List.of();
                  }
                  asked.countDown();
                  connectionFree.await();
                  return true;
                });
    DueQueue due = new DueQueue(mapper, SETTINGS, Clock.systemUTC());
    CompletableFuture<Boolean> asking =
        CompletableFuture.supplyAsync(() -> due.anyDue(Channel.EMAIL));
    asked.await();
    CompletableFuture<List<HandoverMapper.Claimed>> claiming =
        CompletableFuture.supplyAsync(() -> due.claim(Channel.EMAIL, Instant.EPOCH, 20));
    assertThat(claiming).succeedsWithin(Duration.ofSeconds(20));
    connectionFree.countDown();
    assertThat(asking).succeedsWithin(Duration.ofSeconds(20)).isEqualTo(true);
  }
}
