package app.jemble.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * A session ends for good a day after its colleague signed in, however busy it was; one in which
 * nobody signed in ends soon.
 */
@Component
class SessionEnd implements HandlerInterceptor, WebMvcConfigurer {

  static final Duration LONGEST = Duration.ofHours(24);
  private static final Duration IDLE = Duration.ofHours(12);
  private static final Duration NOBODYS = Duration.ofMinutes(15);
  private static final String BEGUN = "jemble.signed-in-at";

  private final Clock clock;

  SessionEnd(Clock clock) {
    this.clock = clock;
  }

  /** Somebody has signed in. */
  void begin(HttpSession session) {
    session.setAttribute(BEGUN, clock.instant().toEpochMilli());
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
    Object begun = session == null ? null : session.getAttribute(BEGUN);
    if (begun instanceof Long millis
        && Instant.ofEpochMilli(millis).plus(LONGEST).isBefore(clock.instant())) {
      session.invalidate();
      response.setStatus(HttpServletResponse.SC_UNAUTHORIZED);
      return false;
    }
    return true;
  }
}
