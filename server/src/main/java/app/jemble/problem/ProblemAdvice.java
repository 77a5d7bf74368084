package app.jemble.problem;

import app.jemble.core.filter.FilterException;
import java.util.List;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.transaction.TransactionException;
import org.springframework.validation.BindException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;

/** Errors as RFC 9457 problem details with the field and a sentence for people. */
@RestControllerAdvice
@Order(Ordered.HIGHEST_PRECEDENCE)
class ProblemAdvice {

  private static final Logger LOG = LoggerFactory.getLogger(ProblemAdvice.class);

  /** What the reader of bodies says, which stands among the words of the reader. */
  private static final List<String> STRICT =
      List.of("a text holds no NUL", "a text holds no half of a character", Readable.YEARS);

  @ExceptionHandler
  ResponseEntity<ProblemDetail> problem(Problem problem) {
    ResponseEntity.BodyBuilder answer = ResponseEntity.status(problem.status());
    if (problem.retryAfter() != null) {
      answer.header(HttpHeaders.RETRY_AFTER, Long.toString(problem.retryAfter().toSeconds()));
    }
    return answer.body(detail(problem.status(), problem.field(), problem.getMessage()));
  }

  @ExceptionHandler
  ProblemDetail filter(FilterException wrong) {
    return detail(HttpStatus.UNPROCESSABLE_CONTENT, wrong.field(), wrong.getMessage());
  }

  @ExceptionHandler
  ProblemDetail unreadable(HttpMessageNotReadableException unreadable) {
    String field =
        unreadable.getCause() instanceof DatabindException wrong
            ? wrong.getPath().stream().map(ProblemAdvice::step).collect(Collectors.joining("."))
            : "";
    if (field.isEmpty()) {
      return detail(HttpStatus.BAD_REQUEST, "", "The request is not JSON that can be read.");
    }
    if (unreadable.getCause() instanceof UnrecognizedPropertyException) {
      return detail(
          HttpStatus.UNPROCESSABLE_CONTENT, field, "“" + field + "” is not known; leave it out.");
    }
    String said = String.valueOf(unreadable.getCause().getMessage());
    return detail(
        HttpStatus.UNPROCESSABLE_CONTENT,
        field,
        STRICT.stream()
            .filter(said::contains)
            .findFirst()
            .map(rule -> "“" + field + "” cannot be read: " + rule + ".")
            .orElse("“" + field + "” is missing, or is not the kind of value that belongs there."));
  }

  /** A part of the address that is not what belongs there. */
  @ExceptionHandler
  ProblemDetail parameter(MethodArgumentTypeMismatchException wrong) {
    return detail(
        HttpStatus.BAD_REQUEST,
        wrong.getName(),
        "“" + wrong.getName() + "” in the address is not the kind of value that belongs there.");
  }

  /** Several of an address, of which one is not what belongs there. */
  @ExceptionHandler
  ProblemDetail parameters(BindException wrong) {
    String name = wrong.getFieldErrors().isEmpty() ? "" : wrong.getFieldErrors().get(0).getField();
    return detail(
        HttpStatus.BAD_REQUEST,
        name,
        "“" + name + "” in the address is not the kind of value that belongs there.");
  }

  /** Two did the same at one moment; the database lets one of them. */
  @ExceptionHandler
  ProblemDetail twice(DuplicateKeyException taken) {
    return detail(
        HttpStatus.CONFLICT,
        "",
        "Somebody did the same at this moment; look again before you go on.");
  }

  @ExceptionHandler
  ProblemDetail atOnce(PessimisticLockingFailureException locked) {
    return detail(
        HttpStatus.CONFLICT, "", "Somebody is changing the same at this moment; try again.");
  }

  /**
   * What the database does not take is the fault of what was given; each should be said earlier.
   */
  @ExceptionHandler
  ProblemDetail notKept(DataIntegrityViolationException unfit) {
    LOG.warn("The database did not take what was given.", unfit);
    return detail(
        HttpStatus.UNPROCESSABLE_CONTENT,
        "",
        "Something that was given is too long, or belongs to nothing that is there any more.");
  }

  @ExceptionHandler({DataAccessException.class, TransactionException.class})
  ResponseEntity<ProblemDetail> away(RuntimeException trouble) {
    if (!Away.isDatabase(trouble)) {
      throw trouble;
    }
    LOG.warn("The database is away: {}", trouble.getMessage());
    return ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE)
        .header(HttpHeaders.RETRY_AFTER, "10")
        .body(detail(HttpStatus.SERVICE_UNAVAILABLE, "", Away.SENTENCE));
  }

  private static String step(JacksonException.Reference step) {
    return step.getPropertyName() == null
        ? Integer.toString(step.getIndex())
        : step.getPropertyName();
  }

  private static ProblemDetail detail(HttpStatus status, String field, String sentence) {
    ProblemDetail detail = ProblemDetail.forStatusAndDetail(status, sentence);
    detail.setProperty("field", field);
    return detail;
  }
}
