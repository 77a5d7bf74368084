package app.jemble.mark;

import app.jemble.core.message.PublicToken;
import app.jemble.workspace.WorkspaceService;
import jakarta.servlet.AsyncContext;
import jakarta.servlet.FilterChain;
import jakarta.servlet.http.HttpFilter;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Base64;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Answers fetches of the open mark before anything else looks at them: they want no session and no
 * rights, and come by the thousand. A token that was not made here gets the mark too, and learns
 * nothing.
 */
final class MarkFilter extends HttpFilter {

  private static final Logger LOG = LoggerFactory.getLogger(MarkFilter.class);
  private static final long serialVersionUID = 1L;
  private static final Pattern PATH = Pattern.compile("/o/([A-Za-z0-9_-]{1,64})\\.gif");

  /** One transparent point. */
  private static final byte[] MARK =
      Base64.getDecoder().decode("R0lGODlhAQABAIAAAAAAAP///yH5BAEAAAAALAAAAAABAAEAAAIBRAA7");

  private final transient MarkIntake intake;
  private final transient WorkspaceService workspace;

  MarkFilter(MarkIntake intake, WorkspaceService workspace) {
    this.intake = intake;
    this.workspace = workspace;
  }

  @Override
  protected void doFilter(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws IOException {
    Matcher path = PATH.matcher(request.getRequestURI());
    boolean asked = request.getMethod().equals("GET");
    if (!path.matches() || !(asked || request.getMethod().equals("HEAD"))) {
      response.setStatus(HttpServletResponse.SC_NOT_FOUND);
      return;
    }
    String token = path.group(1);
    if (!asked || !PublicToken.isGenuine(token, workspace.secret())) {
      answer(response);
      return;
    }
    AsyncContext later = request.startAsync();
    intake
        .opened(token, request.getHeader("User-Agent"), request.getRemoteAddr())
        .whenComplete((noted, away) -> answer(later, away == null));
  }

  /** What could not be noted is told so: whoever asks again is counted. */
  private static void answer(AsyncContext later, boolean noted) {
    try {
      HttpServletResponse response = (HttpServletResponse) later.getResponse();
      if (noted) {
        answer(response);
      } else {
        response.setHeader("Retry-After", "30");
        response.setStatus(HttpServletResponse.SC_SERVICE_UNAVAILABLE);
      }
    } catch (IOException gone) {
      LOG.debug("A reader was gone before the mark came.", gone);
    } finally {
      later.complete();
    }
  }

  private static void answer(HttpServletResponse response) throws IOException {
    response.setContentType("image/gif");
    response.setHeader("Cache-Control", "no-store");
    response.setContentLength(MARK.length);
    response.getOutputStream().write(MARK);
  }
}
