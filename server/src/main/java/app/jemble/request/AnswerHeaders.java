package app.jemble.request;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;

/** What every answer says to the browser that shows it (OWASP, secure headers). */
final class AnswerHeaders {

  /** What readers of mail are shown needs no script and no frame. */
  private static final String PUBLIC_POLICY =
      "default-src 'none'; img-src 'self'; style-src 'unsafe-inline'; form-action 'self';"
          + " base-uri 'none'; frame-ancestors 'none'";

  private static final String YEAR = "max-age=31536000; includeSubDomains";

  private AnswerHeaders() {}

  static void write(HttpServletRequest request, HttpServletResponse response) {
    response.setHeader("X-Content-Type-Options", "nosniff");
    response.setHeader("Referrer-Policy", "no-referrer");
    response.setHeader(
        "Permissions-Policy",
        "accelerometer=(), camera=(), geolocation=(), gyroscope=(), magnetometer=(),"
            + " microphone=(), payment=(), usb=()");
    response.setHeader("Cross-Origin-Opener-Policy", "same-origin");
    if (request.isSecure()) {
      response.setHeader("Strict-Transport-Security", YEAR);
    }
    if (RequestGate.isPublic(request.getRequestURI())) {
      response.setHeader("Content-Security-Policy", PUBLIC_POLICY);
    }
  }
}
