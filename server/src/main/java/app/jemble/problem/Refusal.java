package app.jemble.problem;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;

/** What is refused before any subject is asked, as RFC 9457 says. */
public final class Refusal {

  private static final int RETRY_SECONDS = 10;

  private Refusal() {}

  /**
   * Writes it.
   *
   * @param sentence for people, of our own words alone
   */
  public static void write(HttpServletResponse response, int status, String sentence)
      throws IOException {
    byte[] body =
        ("{\"status\":" + status + ",\"detail\":\"" + sentence + "\",\"field\":\"\"}")
            .getBytes(StandardCharsets.UTF_8);
    response.setStatus(status);
    if (status == HttpServletResponse.SC_SERVICE_UNAVAILABLE || status == 429) {
      response.setHeader("Retry-After", Integer.toString(RETRY_SECONDS));
    }
    response.setContentType("application/problem+json");
    response.setHeader("Cache-Control", "no-store");
    response.getOutputStream().write(body);
  }
}
