package app.jemble.browser;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.stereotype.Component;

/** The session of somebody who has just shown who they are. */
@Component
public class FreshSession {

  private final SecurityContextRepository contexts;
  private final PageTokens tokens;

  FreshSession(SecurityContextRepository contexts, PageTokens tokens) {
    this.contexts = contexts;
    this.tokens = tokens;
  }

  /**
   * Begins it with a token that nobody has seen: what was there before is not trusted. The token is
   * there from the start, or the first questions, asked at once, would each make another.
   */
  public HttpSession begin(
      Authentication who, HttpServletRequest request, HttpServletResponse response) {
    HttpSession before = request.getSession(false);
    if (before != null) {
      before.invalidate();
    }
    HttpSession session = request.getSession(true);
    tokens.give(request, response);
    SecurityContext context = SecurityContextHolder.createEmptyContext();
    context.setAuthentication(who);
    contexts.saveContext(context, request, response);
    return session;
  }
}
