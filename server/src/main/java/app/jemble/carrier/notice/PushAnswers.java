package app.jemble.carrier.notice;

import app.jemble.carrier.HandoverResult;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What the answers of a push service mean (RFC 8030, sections 5 and 7). */
final class PushAnswers {

  static final String GONE = "the app is gone from the device";

  private static final Duration LONGEST_WAIT = Duration.ofDays(1);

  private PushAnswers() {}

  static HandoverResult of(HttpResponse<?> response, Instant now) {
    int status = response.statusCode();
    return switch (status) {
      case 200, 201, 202, 204 -> new HandoverResult.Accepted();
      case 404, 410 -> new HandoverResult.Closed(GONE);
      case 413 -> new HandoverResult.Refused("the push service found it too long");
      // The key may be set right; the notice is not lost for it.
      case 401, 403 ->
          new HandoverResult.PutOff("the push service does not let the house in (" + status + ")");
      case 429 ->
          new HandoverResult.PutOff("the push service asks for patience", wait(response, now));
      default ->
          status >= 500
              ? new HandoverResult.PutOff(
                  "the push service cannot at present (" + status + ")", wait(response, now))
              : new HandoverResult.Refused("the push service refused it (" + status + ")");
    };
  }

  /** Retry-After is seconds or a date (RFC 9110, 10.2.3); what is neither is nothing. */
  private static Duration wait(HttpResponse<?> response, Instant now) {
    String said = response.headers().firstValue("Retry-After").orElse("").strip();
    Duration asked =
        said.matches("\\d{1,9}") ? Duration.ofSeconds(Long.parseLong(said)) : until(said, now);
    return asked.compareTo(LONGEST_WAIT) > 0 ? LONGEST_WAIT : asked;
  }

  private static Duration until(String date, Instant now) {
    try {
      Instant then =
          ZonedDateTime.parse(date, DateTimeFormatter.RFC_1123_DATE_TIME.withLocale(Locale.ROOT))
              .toInstant();
      return then.isAfter(now) ? Duration.between(now, then) : Duration.ZERO;
    } catch (DateTimeParseException neither) {
      return Duration.ZERO;
    }
  }

  /**
   * What became of a notice by what became of it on each device: whoever was shown it on one is not
   * sent it again for another.
   */
  static HandoverResult together(List<HandoverResult> each) {
    return first(each, HandoverResult.Accepted.class)
        .or(() -> first(each, HandoverResult.InDoubt.class))
        .or(() -> first(each, HandoverResult.PutOff.class))
        .or(() -> first(each, HandoverResult.NotTried.class))
        .or(() -> first(each, HandoverResult.Refused.class))
        .orElseGet(() -> new HandoverResult.Closed(GONE));
  }

  private static Optional<HandoverResult> first(
      List<HandoverResult> each, Class<? extends HandoverResult> kind) {
    return each.stream().filter(kind::isInstance).findFirst();
  }
}
