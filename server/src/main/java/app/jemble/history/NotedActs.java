package app.jemble.history;

import app.jemble.access.WhoAsks;
import app.jemble.problem.Problem;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.DispatcherServlet;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Notes each act that says it is to be, once it is done, and whatever a colleague asked for and may
 * not. It stands before the gate that refuses.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class NotedActs implements HandlerInterceptor, WebMvcConfigurer {

  private static final String WHO = NotedActs.class.getName();

  private final HouseHistory history;
  private final WhoAsks who;

  NotedActs(HouseHistory history, WhoAsks who) {
    this.history = history;
    this.who = who;
  }

  @Override
  public void addInterceptors(InterceptorRegistry interceptors) {
    interceptors.addInterceptor(this).addPathPatterns("/api/**");
  }

  /** Who it is is asked first: after the act their session may be gone. */
  @Override
  public boolean preHandle(
      HttpServletRequest request, HttpServletResponse response, Object handler) {
    if (request.getDispatcherType() != DispatcherType.ASYNC && noted(handler) != null) {
      request.setAttribute(WHO, who.asker().id());
    }
    return true;
  }

  @Override
  public void afterCompletion(
      HttpServletRequest request, HttpServletResponse response, Object handler, Exception failed) {
    if (request.getUserPrincipal() != null
        && request.getAttribute(DispatcherServlet.EXCEPTION_ATTRIBUTE) instanceof Problem problem
        && problem.status() == HttpStatus.FORBIDDEN) {
      history.noteRefusal(who.asker().id(), operation(request), problem.getMessage());
      return;
    }
    Noted noted = noted(handler);
    if (noted != null
        && failed == null
        && response.getStatus() < HttpStatus.BAD_REQUEST.value()
        && request.getAttribute(WHO) instanceof Long account) {
      history.noteDone(account, noted);
    }
  }

  /** As the description of the API has it: numbers in an address are not for everybody. */
  private static String operation(HttpServletRequest request) {
    return request.getMethod()
        + " "
        + request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE);
  }

  private static Noted noted(Object handler) {
    return handler instanceof HandlerMethod operation
        ? operation.getMethodAnnotation(Noted.class)
        : null;
  }
}
