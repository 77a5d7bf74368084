package app.jemble.carrier.notice;

import app.jemble.carrier.HandoverResult;
import app.jemble.core.notice.Device;
import app.jemble.core.notice.HouseToken;
import app.jemble.core.notice.SealedNotice;
import java.io.IOException;
import java.net.ConnectException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpConnectTimeoutException;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** Asks push services to show a notice, many at once over one connection each (HTTP/2). */
final class PushRequests {

  private static final Duration CONNECT_LIMIT = Duration.ofSeconds(5);

  /** A device that is off for longer shows it no more (common practice). */
  private static final Duration GOOD_FOR = Duration.ofDays(1);

  /** RFC 8030, section 5.4. */
  private static final int LONGEST_TOPIC = 32;

  private final HttpClient http =
      HttpClient.newBuilder()
          .version(HttpClient.Version.HTTP_2)
          .connectTimeout(CONNECT_LIMIT)
          .followRedirects(HttpClient.Redirect.NEVER)
          .build();

  private final NoticeSettings settings;
  private final PushKeys keys;
  private final Clock clock;
  private final SecureRandom random = new SecureRandom();
  private final Map<String, Token> tokens = new ConcurrentHashMap<>();

  /**
   * @param clock the machine's: push services look at a token by their own
   */
  PushRequests(NoticeSettings settings, PushKeys keys, Clock clock) {
    this.settings = settings;
    this.keys = keys;
    this.clock = clock;
  }

  /** What lets the house in, and until when it is used. */
  private record Token(String header, Instant until) {}

  /** Sealed for one device. */
  HttpRequest request(Device device, byte[] words, String topic) {
    return HttpRequest.newBuilder(device.address())
        .timeout(settings.answerWithin())
        .header("TTL", Long.toString(GOOD_FOR.toSeconds()))
        .header("Urgency", "normal")
        .header("Topic", topic.substring(0, Math.min(LONGEST_TOPIC, topic.length())))
        .header("Content-Type", "application/octet-stream")
        .header("Content-Encoding", "aes128gcm")
        .header("Authorization", token(device.address()))
        .POST(BodyPublishers.ofByteArray(SealedNotice.seal(words, device.keys(), random)))
        .build();
  }

  HandoverResult send(HttpRequest request) {
    try {
      return PushAnswers.of(http.send(request, BodyHandlers.discarding()), clock.instant());
    } catch (HttpConnectTimeoutException | ConnectException away) {
      return new HandoverResult.NotTried("the push service cannot be reached");
    } catch (IOException silent) {
      return new HandoverResult.InDoubt("the push service did not answer");
    } catch (InterruptedException stopping) {
      Thread.currentThread().interrupt();
      return new HandoverResult.InDoubt("stopped while waiting for the push service");
    }
  }

  /** Whether a push service answers at all, whatever it says; it is asked for nothing. */
  void reach(URI service) throws IOException {
    try {
      HttpRequest request =
          HttpRequest.newBuilder(service.resolve("/")).timeout(CONNECT_LIMIT).GET().build();
      HttpResponse<Void> answer = http.send(request, BodyHandlers.discarding());
      if (answer.statusCode() >= 500) {
        throw new IOException("it answers with a fault, " + answer.statusCode());
      }
    } catch (InterruptedException stopping) {
      Thread.currentThread().interrupt();
      throw new IOException("stopped while waiting for it", stopping);
    }
  }

  private String token(URI device) {
    Instant now = clock.instant();
    return tokens
        .compute(
            HouseToken.origin(device),
            (origin, before) ->
                before != null && now.isBefore(before.until()) ? before : fresh(device, now))
        .header();
  }

  private Token fresh(URI device, Instant now) {
    PushKeys.Pair pair = keys.pair();
    return new Token(
        HouseToken.header(device, settings.contact(), now, pair.privateKey(), pair.publicKey()),
        now.plus(HouseToken.GOOD_FOR.dividedBy(2)));
  }
}
