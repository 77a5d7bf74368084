package app.jemble.request;

import app.jemble.pool.OnBehalf;
import app.jemble.problem.Away;
import app.jemble.problem.Refusal;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpFilter;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * The first that sees a request, before sessions and rights: says what every answer says to
 * browsers, bounds what whoever asks may take of the house (bodies at once, their length, their
 * time), and answers quickly when the database is away.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class RequestGate extends HttpFilter {

  private static final Logger LOG = LoggerFactory.getLogger(RequestGate.class);
  private static final long serialVersionUID = 1L;

  /** Bodies that one address sends at once; each holds a thread while it comes. */
  private static final int MOST_BODIES = 40;

  /** Everything but files: a hundred thousand picked people take two. */
  private static final int MOST_JSON = 8 << 20;

  private final transient ClientAddress addresses;
  private final transient Map<String, AtomicInteger> bodies = new ConcurrentHashMap<>();

  RequestGate(ClientAddress addresses) {
    this.addresses = addresses;
  }

  @Override
  protected void doFilter(HttpServletRequest given, HttpServletResponse response, FilterChain chain)
      throws IOException, ServletException {
    HttpServletRequest request = addresses.behindProxies(given);
    AnswerHeaders.write(request, response);
    String query = request.getQueryString();
    if (query != null && query.contains("%00")) {
      Refusal.write(response, 422, "A text in the address holds a NUL; leave it out.");
      return;
    }
    String type = request.getContentType();
    boolean isFile = type != null && type.startsWith("application/octet-stream");
    if (!isFile && request.getContentLengthLong() > MOST_JSON) {
      Refusal.write(response, 413, "A request has at most 8 MB; files travel by themselves.");
      return;
    }
    if (isPublic(request.getRequestURI())) {
      OnBehalf.ofReaders();
    }
    try {
      if (hasBody(request)) {
        withBody(request, response, chain);
      } else {
        chain.doFilter(request, response);
      }
    } catch (SlowBody.TooSlow slow) {
      ClosingValve.close(request);
      refuse(response, 408, "The request came too slowly; send it again.");
    } catch (IOException | ServletException | RuntimeException trouble) {
      if (!Away.isDatabase(trouble)) {
        throw trouble;
      }
      LOG.warn("The database is away: {}", trouble.getMessage());
      refuse(response, 503, Away.SENTENCE);
    } finally {
      OnBehalf.done();
    }
  }

  private static void refuse(HttpServletResponse response, int status, String sentence)
      throws IOException {
    if (!response.isCommitted()) {
      response.resetBuffer();
      Refusal.write(response, status, sentence);
    }
  }

  private static boolean hasBody(HttpServletRequest request) {
    return request.getContentLengthLong() > 0 || request.getHeader("Transfer-Encoding") != null;
  }

  private void withBody(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws IOException, ServletException {
    String from = request.getRemoteAddr();
    AtomicInteger coming = bodies.computeIfAbsent(from, a -> new AtomicInteger());
    try {
      if (coming.incrementAndGet() > MOST_BODIES) {
        ClosingValve.close(request);
        response.setHeader("Connection", "close");
        Refusal.write(response, 429, "Too much comes from you at once; try again in a moment.");
        return;
      }
      SlowBody body = new SlowBody(request);
      chain.doFilter(body.request(), response);
      // Refused before it was read: what has come is taken, what has not is not waited for.
      if (!request.isAsyncStarted() && !body.takeRest()) {
        ClosingValve.close(request);
      }
    } finally {
      if (coming.decrementAndGet() == 0) {
        bodies.remove(from, coming);
      }
    }
  }

  /** What readers of mail fetch, and programs that show calendars. */
  static boolean isPublic(String path) {
    return path.startsWith("/o/")
        || path.startsWith("/l/")
        || path.startsWith("/leave/")
        || path.startsWith("/join/")
        || path.startsWith("/app/")
        || path.startsWith("/pictures/")
        || path.startsWith("/calendar/");
  }
}
