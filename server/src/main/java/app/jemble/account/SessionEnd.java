package app.jemble.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.Duration;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * A session ends for good a day after its colleague signed in, however busy it was; one in which
 * nobody signed in ends soon. This goes by the machine's clock: the house's may run faster.
 */
@Component
class SessionEnd implements HandlerInterceptor, WebMvcConfigurer {

  static final Duration LONGEST = Duration.ofHours(24);
  private static final Duration IDLE = Duration.ofHours(12);
  private static final Duration NOBODYS = Duration.ofMinutes(15);

  /** Somebody has signed in. */
  void begin(HttpSession session) {
    session.setMaxInactiveInterval((int) IDLE.toSeconds());
  }

  /** Nobody has. */
  void nobodys(HttpSession session) {
    session.setMaxInactiveInterval((int) NOBODYS.toSeconds());
  }

  @Override
  public void addInterceptors(InterceptorRegistry interceptors) {
    interceptors.addInterceptor(this).order(-1).addPathPatterns("/api/**");
  }

  @Override
  public boolean preHandle(
      HttpServletRequest request, HttpServletResponse response, Object handler) {
    HttpSession session = request.getSession(false);
    if (session != null
        && session.getLastAccessedTime() - session.getCreationTime() > LONGEST.toMillis()) {
      session.invalidate();
      response.setStatus(HttpServletResponse.SC_UNAUTHORIZED);
      return false;
    }
    return true;
  }
}
