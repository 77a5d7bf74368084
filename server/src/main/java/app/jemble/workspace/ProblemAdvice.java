package app.jemble.workspace;

import app.jemble.core.filter.FilterException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;

/** Errors as RFC 9457 problem details with the field and a sentence for people. */
@RestControllerAdvice
class ProblemAdvice {

  @ExceptionHandler
  ProblemDetail problem(Problem problem) {
    return detail(problem.status(), problem.field(), problem.getMessage());
  }

  @ExceptionHandler
  ProblemDetail filter(FilterException wrong) {
    return detail(HttpStatus.UNPROCESSABLE_CONTENT, wrong.field(), wrong.getMessage());
  }

  @ExceptionHandler
  ProblemDetail unreadable(HttpMessageNotReadableException unreadable) {
    return detail(HttpStatus.BAD_REQUEST, "", "The request could not be read.");
  }

  private static ProblemDetail detail(HttpStatus status, String field, String sentence) {
    ProblemDetail detail = ProblemDetail.forStatusAndDetail(status, sentence);
    detail.setProperty("field", field);
    return detail;
  }
}
