package app.jemble.access;

import app.jemble.core.access.Right;
import app.jemble.pool.OnBehalf;
import app.jemble.problem.Problem;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Asks for the right that an operation names before anything of the request is read, and has the
 * rest of it find what the colleague sees. What is private to another is for the loaders to refuse.
 */
@Component
class RightsGate implements HandlerInterceptor, WebMvcConfigurer {

  private final AccessService access;

  RightsGate(AccessService access) {
    this.access = access;
  }

  @Override
  public void addInterceptors(InterceptorRegistry interceptors) {
    interceptors.addInterceptor(this).addPathPatterns("/api/**");
  }

  @Override
  public boolean preHandle(
      HttpServletRequest request, HttpServletResponse response, Object handler) {
    // What was asked was decided when it came; how a stream ends is no request.
    if (request.getDispatcherType() != DispatcherType.ASYNC
        && handler instanceof HandlerMethod operation) {
      Needs needs = operation.getMethodAnnotation(Needs.class);
      if (needs == null) {
        throw Problem.forbidden("This operation names no right that it needs, and is not served.");
      }
      if (needs.value() != Right.NONE) {
        access.must(needs.value());
        AccessService.workOn(needs.fromIt() ? Right.SEE : needs.value());
        OnBehalf.of(access.onlyPeopleOf().orElse(null));
        if (!needs.first()) {
          access.mustOweNothing();
        }
      }
    }
    return true;
  }
}
