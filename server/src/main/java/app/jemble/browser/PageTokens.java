package app.jemble.browser;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.http.HttpMethod;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.security.web.csrf.HttpSessionCsrfTokenRepository;
import org.springframework.stereotype.Component;

/**
 * The tokens that changes carry, each kept in its session, so that two houses on one host do not
 * share one. Only a page that asks for its token is given one, and a session with it: if a change
 * were given one as it is refused, its cookie could come late and take the place of a session
 * signed in meanwhile.
 */
@Component
public class PageTokens implements CsrfTokenRepository {

  private final CsrfTokenRepository inSession = new HttpSessionCsrfTokenRepository();

  /** Gives the request's session one at once. */
  void give(HttpServletRequest request, HttpServletResponse response) {
    inSession.saveToken(generateToken(request), request, response);
  }

  @Override
  public CsrfToken generateToken(HttpServletRequest request) {
    return inSession.generateToken(request);
  }

  @Override
  public void saveToken(CsrfToken token, HttpServletRequest request, HttpServletResponse response) {
    if (HttpMethod.GET.matches(request.getMethod())) {
      inSession.saveToken(token, request, response);
    }
  }

  @Override
  public CsrfToken loadToken(HttpServletRequest request) {
    return inSession.loadToken(request);
  }
}
