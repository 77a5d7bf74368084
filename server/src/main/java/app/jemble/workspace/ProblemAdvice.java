package app.jemble.workspace;

import app.jemble.core.filter.FilterException;
import java.util.stream.Collectors;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DatabindException;

/** Errors as RFC 9457 problem details with the field and a sentence for people. */
@RestControllerAdvice
@Order(Ordered.HIGHEST_PRECEDENCE)
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
    String field =
        unreadable.getCause() instanceof DatabindException wrong
            ? wrong.getPath().stream().map(ProblemAdvice::step).collect(Collectors.joining("."))
            : "";
    return detail(
        HttpStatus.BAD_REQUEST,
        field,
        field.isEmpty()
            ? "The request is not JSON that can be read."
            : "“" + field + "” is missing, or is not the kind of value that belongs there.");
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
