package app.jemble.problem;

import java.time.Duration;
import org.springframework.http.HttpStatus;

/** Something a person asked for that cannot be done; the message is a sentence that says why. */
public final class Problem extends RuntimeException {

  private static final long serialVersionUID = 1L;
  private final HttpStatus status;
  private final String field;
  private Duration retryAfter;

  private Problem(HttpStatus status, String field, String sentence) {
    super(sentence);
    this.status = status;
    this.field = field;
  }

  /** What was given is wrong; {@code field} is the path of the part that is. */
  public static Problem wrong(String field, String sentence) {
    return new Problem(HttpStatus.UNPROCESSABLE_CONTENT, field, sentence);
  }

  /** It was tried too often; it may be tried again after a while. */
  public static Problem tooOften(String field, String sentence, Duration wait) {
    Problem problem = new Problem(HttpStatus.TOO_MANY_REQUESTS, field, sentence);
    problem.retryAfter = wait;
    return problem;
  }

  public static Problem notFound(String sentence) {
    return new Problem(HttpStatus.NOT_FOUND, "", sentence);
  }

  /** Somebody else changed it, or its state does not allow it any more. */
  public static Problem conflict(String sentence) {
    return new Problem(HttpStatus.CONFLICT, "", sentence);
  }

  public static Problem forbidden(String sentence) {
    return new Problem(HttpStatus.FORBIDDEN, "", sentence);
  }

  public HttpStatus status() {
    return status;
  }

  /** How long to wait before it is tried again; null when that would not help. */
  public Duration retryAfter() {
    return retryAfter;
  }

  public String field() {
    return field;
  }
}
