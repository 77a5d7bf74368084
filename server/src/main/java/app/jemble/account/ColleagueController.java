package app.jemble.account;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Set;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Colleagues by name, for choosing one; and what each says of themselves. */
@RestController
@RequestMapping("/api/colleagues")
class ColleagueController {

  /**
   * A colleague.
   *
   * @param works whether tasks and people can be theirs
   * @param invited whether they have not set a password yet
   * @param off whether they sign in no more
   * @param language of what the house tells them; null: as the house has it
   * @param secondFactor whether they have one; null for whoever does not administer, as the
   *     language is
   */
  record ColleagueName(
      long id,
      String login,
      String name,
      String email,
      String title,
      long roleId,
      String role,
      boolean works,
      boolean invited,
      boolean off,
      @Schema(nullable = true) String language,
      @Schema(nullable = true) Boolean secondFactor) {}

  private final AccountService accounts;
  private final SecondFactors factors;

  ColleagueController(AccountService accounts, SecondFactors factors) {
    this.accounts = accounts;
    this.factors = factors;
  }

  @Needs(Right.SEE)
  @GetMapping
  List<ColleagueName> all() {
    boolean told = accounts.current().may(Right.COLLEAGUES);
    Set<Long> having = told ? factors.having() : Set.of();
    return accounts.all().stream()
        .map(
            a ->
                new ColleagueName(
                    a.id(),
                    a.login(),
                    a.name(),
                    a.email(),
                    a.title(),
                    a.role().id(),
                    a.role().name(),
                    a.may(Right.WORK),
                    a.invited(),
                    a.off(),
                    told ? a.language() : null,
                    told ? having.contains(a.id()) : null))
        .toList();
  }

  /** What the colleague who asks says of themselves. */
  @Needs(Right.SEE)
  @GetMapping("/me")
  AccountService.Self self() {
    return accounts.self();
  }

  @Needs(Right.SEE)
  @PutMapping("/me")
  AccountService.Self describe(@RequestBody AccountService.Self self) {
    return accounts.describe(self);
  }
}
