package app.jemble.bench;

import app.jemble.carrier.notice.PushKeys;
import app.jemble.core.notice.HouseToken;
import app.jemble.core.notice.P256;
import app.jemble.core.notice.SealedNotice;
import app.jemble.core.notice.SealedNotice.DeviceKeys;
import app.jemble.standins.push.PretendApp;
import app.jemble.standins.push.PushService;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.security.interfaces.ECPrivateKey;
import java.security.interfaces.ECPublicKey;
import java.time.Instant;
import java.util.Base64;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;

/**
 * Notices by Web Push, next to a bare loop of the same sealing and the same HTTP client with as
 * many in flight.
 */
final class NoticesBench {

  private static final byte[] WORDS =
      "{\"title\":\"The slipway\",\"text\":\"Dear friend, the slipway opens on Saturday.\"}"
          .getBytes(StandardCharsets.UTF_8);

  /**
   * Sealing one takes milliseconds of the processor. As many as two rounds of what all workers take
   * up at once, so that none has nothing to do at the end, as none of the loop has.
   */
  private static final int MESSAGES = 2 * 100 * WaysBench.IN_FLIGHT;

  private NoticesBench() {}

  static void run() throws Exception {
    AtomicInteger taken = new AtomicInteger();
    try (PushService service = new PushService(0);
        RunningApp app =
            new RunningApp(
                9000,
                "--jemble.smtp.port=1",
                "--jemble.notice.services=" + service.origin(),
                "--jemble.notice.contact=mailto:bench@ternquay.example",
                "--jemble.notice.in-flight=" + WaysBench.IN_FLIGHT,
                "--jemble.outbox.poll-every=50ms")) {
      AtomicLong answersAfter = new AtomicLong();
      service.tells(
          notice -> {
            WaysBench.rest(answersAfter.get());
            taken.incrementAndGet();
          });
      WaysBench.settle(app);
      app.sql.sql("update person set asked_not = false").update();
      app.sql.sql("delete from topic_left").update();
      PretendApp device = new PretendApp("all", new byte[] {1});
      DeviceKeys keys = new DeviceKeys(decoded(device.key()), decoded(device.secret()));
      String houseKey = app.bean(PushKeys.class).publicKey();
      register(app, service, keys, houseKey);
      Sender sender = sender(service, keys);
      WaysBench.Loop loop = () -> WaysBench.atOnce(sender::sendShare);
      // The loop is quick from its first thousand on; the application is not.
      WaysBench.compare(app, "notice.at_once", MESSAGES, "APP", taken::get, loop);
      answersAfter.set(WaysBench.ON_A_NETWORK);
      WaysBench.compare(app, "notice", MESSAGES, "APP", taken::get, loop);
    }
  }

  /** Everybody has one device; what opens on it nobody looks at here. */
  private static void register(
      RunningApp app, PushService service, DeviceKeys keys, String houseKey) {
    app.sql
        .sql(
            """
            insert into device (person_id, address, key, secret, registered_at, heard_at)
            select id, ? || id, ?, ?, now(), now() from person
            """)
        .params(service.origin() + "/push/d", keys.key(), keys.secret())
        .update();
    for (long id : app.sql.sql("select id from person").query(Long.class).list()) {
      service.subscribe("d" + id, houseKey);
    }
  }

  private static Sender sender(PushService service, DeviceKeys keys) {
    SecureRandom random = new SecureRandom();
    var pair = P256.pair(random);
    var publicKey = (ECPublicKey) pair.getPublic();
    URI address =
        URI.create(
            service.subscribe(
                "loop",
                Base64.getUrlEncoder().withoutPadding().encodeToString(P256.octets(publicKey))));
    String token =
        HouseToken.header(
            address,
            "mailto:bench@ternquay.example",
            Instant.now(),
            (ECPrivateKey) pair.getPrivate(),
            publicKey);
    HttpClient http = HttpClient.newBuilder().version(HttpClient.Version.HTTP_2).build();
    return new Sender(http, address, keys, token, random);
  }

  private record Sender(
      HttpClient http, URI address, DeviceKeys keys, String token, SecureRandom random) {

    /** Its share of all notices, one after another. */
    void sendShare() {
      try {
        for (int i = 0; i < MESSAGES / WaysBench.IN_FLIGHT; i++) {
          HttpRequest request =
              HttpRequest.newBuilder(address)
                  .header("TTL", "86400")
                  .header("Urgency", "normal")
                  .header("Content-Encoding", "aes128gcm")
                  .header("Authorization", token)
                  .POST(BodyPublishers.ofByteArray(SealedNotice.seal(WORDS, keys, random)))
                  .build();
          int status = http.send(request, BodyHandlers.discarding()).statusCode();
          if (status != 201) {
            throw new IllegalStateException("the push service says " + status);
          }
        }
      } catch (IOException | InterruptedException e) {
        throw new IllegalStateException(e);
      }
    }
  }

  private static byte[] decoded(String base64) {
    return Base64.getUrlDecoder().decode(base64);
  }
}
