package app.jemble.request;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.servlet.resource.NoResourceFoundException;

/**
 * An address that leads nowhere: whoever looks with a browser gets the house's own page, which says
 * so and where to go; programs get the refusal they know.
 */
@ControllerAdvice
@Order(Ordered.HIGHEST_PRECEDENCE)
class NoSuchPage {

  private static final List<String> FOR_PROGRAMS =
      List.of("/api/", "/_app/", "/o/", "/l/", "/leave/", "/app/", "/pictures/");

  @ExceptionHandler(NoResourceFoundException.class)
  String show(
      NoResourceFoundException nowhere, HttpServletRequest request, HttpServletResponse response)
      throws NoResourceFoundException {
    if (!isLookedAt(request)) {
      throw nowhere;
    }
    response.setStatus(HttpServletResponse.SC_NOT_FOUND);
    return "forward:/index.html";
  }

  private static boolean isLookedAt(HttpServletRequest request) {
    String accept = request.getHeader("Accept");
    return request.getMethod().equals("GET")
        && accept != null
        && accept.contains(MediaType.TEXT_HTML_VALUE)
        && FOR_PROGRAMS.stream().noneMatch(request.getRequestURI()::startsWith);
  }
}
