package app.jemble.carrier.notice;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.carrier.HandoverResult;
import app.jemble.carrier.HandoverResult.Accepted;
import app.jemble.carrier.HandoverResult.Closed;
import app.jemble.carrier.HandoverResult.InDoubt;
import app.jemble.carrier.HandoverResult.NotTried;
import app.jemble.carrier.HandoverResult.PutOff;
import app.jemble.carrier.HandoverResult.Refused;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpHeaders;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.net.ssl.SSLSession;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What a push service says is taken as RFC 8030 means it. */
public class PushAnswersTest {

  private static final Instant NOW = Instant.parse("2026-11-28T12:00:00Z");

  /** An answer without its way here. */
  private record Said(int statusCode, HttpHeaders headers) implements HttpResponse<Void> {

    static Said of(int status, String retryAfter) {
      return new Said(
          status,
          HttpHeaders.of(
              retryAfter == null ? Map.of() : Map.of("Retry-After", List.of(retryAfter)),
              (name, value) -> true));
    }

    @Override
    public HttpRequest request() {
      throw new UnsupportedOperationException();
    }

    @Override
    public Optional<HttpResponse<Void>> previousResponse() {
      return Optional.empty();
    }

    @Override
    public Void body() {
      return null;
    }

    @Override
    public Optional<SSLSession> sslSession() {
      return Optional.empty();
    }

    @Override
    public URI uri() {
      throw new UnsupportedOperationException();
    }

    @Override
    public HttpClient.Version version() {
      return HttpClient.Version.HTTP_2;
    }
  }

  @DataProvider
  public Object[][] answers() {
    return new Object[][] {
      {201, Accepted.class},
      {202, Accepted.class},
      {404, Closed.class},
      {410, Closed.class},
      {413, Refused.class},
      {400, Refused.class},
      {401, PutOff.class},
      {403, PutOff.class},
      {429, PutOff.class},
      {500, PutOff.class},
      {503, PutOff.class}
    };
  }

  @Test(dataProvider = "answers")
  public void eachAnswerMeansOneThing(int status, Class<? extends HandoverResult> meaning) {
    HandoverResult result = PushAnswers.of(Said.of(status, null), NOW);
    assertThat(result).isInstanceOf(meaning);
    assertThat(result.words()).isNotBlank();
  }

  /** RFC 9110, section 10.2.3. */
  @DataProvider
  public Object[][] waits() {
    return new Object[][] {
      {"120", Duration.ofSeconds(120)},
      {"Sat, 28 Nov 2026 12:05:00 GMT", Duration.ofMinutes(5)},
      {"Sat, 28 Nov 2026 11:05:00 GMT", Duration.ZERO},
      {"soon", Duration.ZERO},
      {"", Duration.ZERO},
      {"999999999", Duration.ofDays(1)},
      {null, Duration.ZERO}
    };
  }

  @Test(dataProvider = "waits")
  public void itIsWaitedAsLongAsAsked(String retryAfter, Duration wait) {
    PutOff putOff = (PutOff) PushAnswers.of(Said.of(429, retryAfter), NOW);
    assertThat(putOff.atLeast()).isEqualTo(wait);
  }

  /** Whoever was shown it on one device is not sent it again for another. */
  @Test
  public void severalDevicesGiveOneAnswer() {
    HandoverResult taken = new Accepted();
    HandoverResult doubt = new InDoubt("d");
    HandoverResult later = new PutOff("l");
    HandoverResult away = new NotTried("n");
    HandoverResult refused = new Refused("r");
    HandoverResult gone = new Closed("g");
    assertThat(PushAnswers.together(List.of(gone, refused, away, later, doubt, taken)))
        .isEqualTo(taken);
    assertThat(PushAnswers.together(List.of(gone, later, doubt))).isEqualTo(doubt);
    assertThat(PushAnswers.together(List.of(gone, away, later))).isEqualTo(later);
    assertThat(PushAnswers.together(List.of(gone, refused, away))).isEqualTo(away);
    assertThat(PushAnswers.together(List.of(gone, refused))).isEqualTo(refused);
    assertThat(PushAnswers.together(List.of(gone, gone))).isInstanceOf(Closed.class);
    assertThat(PushAnswers.together(List.of())).isInstanceOf(Closed.class);
  }
}
