package app.jemble.account;

import app.jemble.core.access.KnownDevice;
import app.jemble.settings.JembleSettings;
import app.jemble.workspace.WorkspaceService;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.util.Arrays;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.stereotype.Component;

/** The cookie by which a browser is known again when its colleague signs in. */
@Component
class DeviceCookie {

  private static final Duration KNOWN_FOR = Duration.ofDays(90);

  /** Two workspaces on one host do not share it. */
  private final String name;

  private final WorkspaceService workspace;
  private final JembleSettings settings;
  private final Clock clock;
  private final SecureRandom random = new SecureRandom();

  DeviceCookie(
      WorkspaceService workspace,
      JembleSettings settings,
      Clock clock,
      @Value("jemble-device-${server.port}") String name) {
    this.name = name;
    this.workspace = workspace;
    this.settings = settings;
    this.clock = clock;
  }

  /** Which device of this login asks; empty when none is known. */
  Optional<String> of(HttpServletRequest request, String login) {
    Cookie[] cookies = request.getCookies();
    if (cookies == null || login == null) {
      return Optional.empty();
    }
    return Arrays.stream(cookies)
        .filter(cookie -> cookie.getName().equals(name))
        .map(
            cookie ->
                KnownDevice.read(
                    cookie.getValue(),
                    SignInGuard.word(login),
                    clock.instant(),
                    workspace.secret()))
        .flatMap(Optional::stream)
        .findFirst();
  }

  /** Somebody has signed in: their browser is known from now on. */
  void give(HttpServletResponse response, String login) {
    byte[] nonce = new byte[KnownDevice.NONCE];
    random.nextBytes(nonce);
    String token =
        KnownDevice.of(
            SignInGuard.word(login), nonce, clock.instant().plus(KNOWN_FOR), workspace.secret());
    response.addHeader(
        HttpHeaders.SET_COOKIE,
        ResponseCookie.from(name, token)
            .path("/api/session")
            .maxAge(KNOWN_FOR)
            .httpOnly(true)
            .secure(SecurityConfig.isSecure(settings))
            .sameSite("Strict")
            .build()
            .toString());
  }
}
