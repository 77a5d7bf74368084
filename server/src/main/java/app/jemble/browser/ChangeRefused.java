package app.jemble.browser;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.access.AccessDeniedHandler;
import org.springframework.security.web.csrf.CsrfException;
import org.springframework.stereotype.Component;

/**
 * What is said to a change without the token of its session. Where nobody is signed in, 401 as to
 * any question; else 403 and that the token is another one by now: the colleague has signed in anew
 * in another window, and the page may take the new token and ask again.
 */
@Component
public class ChangeRefused implements AccessDeniedHandler {

  /** The header of the answer that says so. */
  private static final String OTHER_TOKEN = "Jemble-Other-Token";

  @Override
  public void handle(
      HttpServletRequest request, HttpServletResponse response, AccessDeniedException refused) {
    if (SecurityContextHolder.getContext().getAuthentication() == null) {
      response.setStatus(HttpServletResponse.SC_UNAUTHORIZED);
      return;
    }
    if (refused instanceof CsrfException) {
      response.setHeader(OTHER_TOKEN, "yes");
    }
    response.setStatus(HttpServletResponse.SC_FORBIDDEN);
  }
}
