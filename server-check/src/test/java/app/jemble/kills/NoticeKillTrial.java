package app.jemble.kills;

import app.jemble.AppHouse;
import app.jemble.standins.push.PushService;
import java.io.IOException;
import java.sql.SQLException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;

/**
 * Two processes empty an outbox of notices, killed (SIGKILL) at random, through a push service that
 * gives no answer to some, taken or not, and asks for patience with others.
 */
final class NoticeKillTrial implements AutoCloseable {

  private static final int SILENT_EVERY = 60;
  private static final int ASKS_FOR_PATIENCE_EVERY = 45;

  /**
   * What came of it.
   *
   * @param silent how often the push service gave no answer
   */
  record Outcome(KilledOutbox.Fates fates, int silent) {}

  private final PushService service;
  private final Random random;
  private final KilledOutbox outbox;
  private final Map<String, Long> shown = new ConcurrentHashMap<>();

  NoticeKillTrial(String database, PushService service, Random random) throws IOException {
    this.service = service;
    this.random = random;
    service.tells(notice -> shown.merge(notice.device(), 1L, Long::sum));
    service.refuseEvery(ASKS_FOR_PATIENCE_EVERY, 1);
    service.keepSilentEvery(SILENT_EVERY, Duration.ofSeconds(2));
    List<String> carrier = new ArrayList<>(AppHouse.through(service));
    // So that there is something left to kill.
    carrier.add("--jemble.notice.in-flight=2");
    carrier.add("--jemble.notice.answer-within=1s");
    this.outbox = new KilledOutbox(database, random, carrier);
  }

  Outcome run(int kills) throws SQLException {
    for (int kill = 0; kill < kills; kill++) {
      int wanted = shown.size() + 60 + random.nextInt(60);
      outbox.await(() -> shown.size() >= wanted || outbox.waiting() == 0);
      outbox.killOne();
    }
    outbox.awaitSettled();
    Map<String, Long> had =
        shown.entrySet().stream()
            .collect(Collectors.toMap(of -> of.getKey().substring(1), Map.Entry::getValue));
    return new Outcome(outbox.fates(had, "person_id"), service.keptSilent());
  }

  @Override
  public void close() {
    outbox.close();
  }
}
