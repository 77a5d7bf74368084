package app.jemble.workspace;

import org.springframework.http.HttpStatus;

/** Something a person asked for that cannot be done; the message is a sentence that says why. */
public final class Problem extends RuntimeException {

  private static final long serialVersionUID = 1L;
  private final HttpStatus status;
  private final String field;

  private Problem(HttpStatus status, String field, String sentence) {
    super(sentence);
    this.status = status;
    this.field = field;
  }

  /** What was given is wrong; {@code field} is the path of the part that is. */
  public static Problem wrong(String field, String sentence) {
    return new Problem(HttpStatus.UNPROCESSABLE_CONTENT, field, sentence);
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

  HttpStatus status() {
    return status;
  }

  String field() {
    return field;
  }
}
