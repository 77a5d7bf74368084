package app.jemble.request;

import app.jemble.problem.Refusal;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpFilter;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.util.Optional;
import java.util.concurrent.locks.LockSupport;
import java.util.regex.Pattern;
import org.springframework.core.annotation.Order;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.util.ContentCachingResponseWrapper;

/**
 * What carries a key of its own (Idempotency-Key, the draft of the HTTP API working group) is done
 * once: the same request again is answered as the first was, whether the first has ended, goes on,
 * or its answer was lost on the way.
 */
@Component
@Order(0)
class OnceFilter extends HttpFilter {

  private static final long serialVersionUID = 1L;
  private static final String KEY = "Idempotency-Key";
  private static final Pattern SOUND = Pattern.compile("[A-Za-z0-9_-]{8,100}");

  private static final Pattern QUESTION =
      Pattern.compile("/(watch|export|page|tally|preview|plan|records/[a-z]+/people)$");

  /** A longer answer is not remembered; no act has one. */
  private static final int MOST_OCTETS = 256 << 10;

  /** How long a second request waits for the end of the first; who asks waits 15 seconds. */
  private static final Duration PATIENCE = Duration.ofSeconds(10);

  private static final Duration LOOK = Duration.ofMillis(100);

  private final transient OnceMapper mapper;
  private final transient Clock clock;

  OnceFilter(OnceMapper mapper, Clock clock) {
    this.mapper = mapper;
    this.clock = clock;
  }

  @Override
  protected void doFilter(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws IOException, ServletException {
    String key = request.getHeader(KEY);
    Authentication who = SecurityContextHolder.getContext().getAuthentication();
    Long account = key == null || who == null ? null : mapper.account(who.getName());
    if (account == null || isQuestion(request)) {
      chain.doFilter(request, response);
    } else if (!SOUND.matcher(key).matches()) {
      Refusal.write(response, 422, "An Idempotency-Key has 8 to 100 letters, digits, - and _.");
    } else {
      once(account, key, request, response, chain);
    }
  }

  /** What only asks, and may answer piece by piece. */
  private static boolean isQuestion(HttpServletRequest request) {
    return request.getMethod().equals("GET") || QUESTION.matcher(request.getRequestURI()).find();
  }

  private void once(
      long account,
      String key,
      HttpServletRequest request,
      HttpServletResponse response,
      FilterChain chain)
      throws IOException, ServletException {
    String what = request.getMethod() + " " + request.getRequestURI();
    if (mapper.begin(account, key, what, clock.instant()) == 0) {
      answerAgain(account, key, what, response);
      return;
    }
    ContentCachingResponseWrapper answered = new ContentCachingResponseWrapper(response);
    boolean ended = false;
    try {
      chain.doFilter(request, answered);
      ended = true;
    } finally {
      // What failed for reasons of our own may be tried again.
      if (!ended || answered.getStatus() >= 500 || answered.getContentSize() > MOST_OCTETS) {
        mapper.forget(account, key);
      } else {
        mapper.end(
            account,
            key,
            answered.getStatus(),
            answered.getContentType(),
            answered.getContentAsByteArray());
      }
    }
    answered.copyBodyToResponse();
  }

  private void answerAgain(long account, String key, String what, HttpServletResponse response)
      throws IOException {
    Optional<OnceMapper.Known> known = awaited(account, key);
    if (known.isEmpty() || known.get().status() == null) {
      Refusal.write(
          response,
          409,
          "This was asked before, and it is not known yet what came of it; look before you go on.");
      return;
    }
    if (!known.get().request().equals(what)) {
      Refusal.write(response, 422, "This Idempotency-Key belongs to another request.");
      return;
    }
    response.setStatus(known.get().status());
    if (known.get().type() != null) {
      response.setContentType(known.get().type());
    }
    response.getOutputStream().write(known.get().body());
  }

  private Optional<OnceMapper.Known> awaited(long account, String key) {
    long begun = System.nanoTime();
    OnceMapper.Known known = mapper.find(account, key);
    while (known != null
        && known.status() == null
        && System.nanoTime() - begun < PATIENCE.toNanos()
        && !Thread.interrupted()) {
      LockSupport.parkNanos(LOOK.toNanos());
      known = mapper.find(account, key);
    }
    return Optional.ofNullable(known);
  }
}
