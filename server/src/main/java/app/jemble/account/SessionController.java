package app.jemble.account;

import app.jemble.access.Needs;
import app.jemble.account.SignInGuard.Trying;
import app.jemble.browser.FreshSession;
import app.jemble.core.access.Access;
import app.jemble.core.access.Decision;
import app.jemble.core.access.Right;
import app.jemble.settings.JembleSettings;
import app.jemble.workspace.WorkspaceService;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out. */
@RestController
@RequestMapping("/api/session")
class SessionController {

  /**
   * Who is signed in, the token that changes must carry, and what the time is.
   *
   * @param colleague null when nobody is
   * @param clockSpeed how many of the house's seconds pass in one
   */
  record Session(
      @Schema(nullable = true) Colleague colleague,
      String csrfHeader,
      String csrfToken,
      Instant now,
      double clockSpeed) {}

  /**
   * The colleague who is signed in.
   *
   * @param rights what their role gives them
   * @param refused what it does not, with what is said instead
   * @param ownPeople whether they see the people alone whom they own
   * @param secondFactorFirst whether nothing is served to them until they have set up theirs
   */
  record Colleague(
      long id,
      String login,
      String name,
      String email,
      String role,
      List<Right> rights,
      List<Refused> refused,
      boolean ownPeople,
      boolean secondFactorFirst,
      String house,
      String zone,
      DayOfWeek weekStart) {}

  /** Why somebody may not, and whom to ask. */
  record Refused(Right right, String sentence) {}

  /**
   * @param code of the app, or one on paper, for whoever has a second factor
   */
  record SignIn(String login, String password, @Schema(nullable = true) String code) {}

  private final SignInCheck check;
  private final FreshSession sessions;
  private final DeviceCookie devices;
  private final SessionEnd ends;
  private final AccountService accounts;
  private final SecondFactors factors;
  private final WorkspaceService workspace;
  private final JembleSettings settings;
  private final Clock clock;

  SessionController(
      SignInCheck check,
      FreshSession sessions,
      DeviceCookie devices,
      SessionEnd ends,
      AccountService accounts,
      SecondFactors factors,
      WorkspaceService workspace,
      JembleSettings settings,
      Clock clock) {
    this.check = check;
    this.sessions = sessions;
    this.devices = devices;
    this.ends = ends;
    this.accounts = accounts;
    this.factors = factors;
    this.workspace = workspace;
    this.settings = settings;
    this.clock = clock;
  }

  @Needs(Right.NONE)
  @GetMapping
  Session session(
      @Parameter(hidden = true) CsrfToken token,
      @Parameter(hidden = true) Authentication signedIn,
      @Parameter(hidden = true) HttpServletRequest request) {
    String value = token.getToken();
    if (signedIn == null) {
      ends.nobodys(request.getSession(true));
    }
    Colleague colleague =
        Optional.ofNullable(signedIn)
            .map(who -> accounts.findByLogin(who.getName()))
            .map(this::colleague)
            .orElse(null);
    return new Session(
        colleague, token.getHeaderName(), value, clock.instant(), settings.clock().speed());
  }

  @Needs(Right.NONE)
  @PostMapping
  Colleague signIn(
      @RequestBody SignIn given, HttpServletRequest request, HttpServletResponse response) {
    Trying trying =
        new Trying(given.login(), request.getRemoteAddr(), devices.of(request, given.login()));
    Authentication who = check.check(trying, given.password(), given.code());
    devices.give(response, given.login());
    ends.begin(sessions.begin(who, request, response));
    return colleague(accounts.findByLogin(who.getName()));
  }

  @Needs(Right.NONE)
  @DeleteMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void signOut(HttpServletRequest request, @Parameter(hidden = true) Authentication signedIn) {
    if (signedIn != null) {
      check.signedOut(signedIn);
    }
    HttpSession session = request.getSession(false);
    if (session != null) {
      session.invalidate();
    }
  }

  private Colleague colleague(Account account) {
    return new Colleague(
        account.id(),
        account.login(),
        account.name(),
        account.email(),
        account.role().name(),
        account.role().rights().stream().sorted().toList(),
        refused(account),
        Access.onlyPeopleOf(account.asker()).isPresent(),
        workspace.isSecondFactorDemanded() && !factors.has(account),
        workspace.current().name(),
        workspace.current().zone(),
        workspace.current().dayStyle().weekStart());
  }

  private List<Refused> refused(Account account) {
    List<String> whom = accounts.whomToAsk();
    return Arrays.stream(Right.values())
        .filter(Right::isGiven)
        .map(right -> new Refused(right, refusal(account, right, whom)))
        .filter(refused -> refused.sentence() != null)
        .toList();
  }

  private static String refusal(Account account, Right right, List<String> whom) {
    return Access.decide(account.asker(), right) instanceof Decision.No no
        ? no.sentence(whom)
        : null;
  }
}
