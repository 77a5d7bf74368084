package app.jemble.colleague;

import app.jemble.access.Needs;
import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.account.AccountService.ColleagueDraft;
import app.jemble.account.SecondFactors;
import app.jemble.colleague.PasswordLinks.MadeLink;
import app.jemble.core.access.Right;
import app.jemble.history.EventKind;
import app.jemble.history.HouseHistory;
import app.jemble.history.Noted;
import io.swagger.v3.oas.annotations.media.Schema;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Administrators look after colleagues. */
@RestController
@RequestMapping("/api/colleagues")
class ColleaguesController {

  record Invitation(
      String login,
      String name,
      String email,
      String title,
      long roleId,
      @Schema(nullable = true) String language) {}

  private final AccountService accounts;
  private final PasswordLinks links;
  private final Leaving leaving;
  private final SecondFactors factors;
  private final HouseHistory history;

  ColleaguesController(
      AccountService accounts,
      PasswordLinks links,
      Leaving leaving,
      SecondFactors factors,
      HouseHistory history) {
    this.factors = factors;
    this.history = history;
    this.accounts = accounts;
    this.links = links;
    this.leaving = leaving;
  }

  /** Adds a colleague, and mails them the link by which they set their password. */
  @Needs(Right.COLLEAGUES)
  @Noted(value = "Invited a colleague", kind = EventKind.COLLEAGUES)
  @PostMapping
  MadeLink invite(@RequestBody Invitation of) {
    history.tell(of.name(), "", of.email());
    return links.make(
        accounts.invite(
            of.login(),
            new ColleagueDraft(of.name(), of.email(), of.title(), of.roleId(), of.language())));
  }

  @Needs(Right.COLLEAGUES)
  @Noted(value = "Changed a colleague", kind = EventKind.COLLEAGUES)
  @PutMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void change(@PathVariable long id, @RequestBody ColleagueDraft draft) {
    Account before = accounts.colleague(id);
    accounts.change(id, draft);
    history.tellChange(before.name(), said(before), said(accounts.colleague(id)));
  }

  /** A new link for who was invited, or has forgotten the password. */
  @Needs(Right.COLLEAGUES)
  @Noted(value = "Made a link for a password", kind = EventKind.COLLEAGUES)
  @PostMapping("/{id}/password-link")
  MadeLink newLink(@PathVariable long id) {
    history.tell(accounts.colleague(id).name(), "", "");
    return links.make(id);
  }

  /** For who lost app and codes: the password alone lets them in, wherever they are not now. */
  @Needs(Right.COLLEAGUES)
  @Noted(value = "Took off a second factor", kind = EventKind.COLLEAGUES)
  @DeleteMapping("/{id}/second-factor")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void takeOffSecondFactor(@PathVariable long id) {
    Account colleague = accounts.colleague(id);
    history.tell(colleague.name(), "", "");
    factors.takeOffAnothers(colleague);
  }

  /** For a browser that was lost: they are signed out everywhere, and may sign in again. */
  @Needs(Right.COLLEAGUES)
  @Noted(value = "Signed a colleague out", kind = EventKind.COLLEAGUES)
  @DeleteMapping("/{id}/sessions")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void signOut(@PathVariable long id) {
    history.tell(accounts.colleague(id).name(), "", "");
    accounts.signOut(id);
  }

  /** What they would leave behind. */
  @Needs(Right.COLLEAGUES)
  @GetMapping("/{id}/belongings")
  Leaving.Estate belongings(@PathVariable long id) {
    return leaving.of(id);
  }

  /** Lets them sign in no more and hands over what is theirs; they are signed out at once. */
  @Needs(Right.COLLEAGUES)
  @Noted(value = "Switched a colleague off", kind = EventKind.COLLEAGUES)
  @PutMapping("/{id}/off")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void switchOff(@PathVariable long id, @RequestBody Leaving.Wish wish) {
    history.tell(accounts.colleague(id).name(), "", Leaving.said(wish.waiting()));
    leaving.switchOff(id, wish);
  }

  @Needs(Right.COLLEAGUES)
  @Noted(value = "Let a colleague in again", kind = EventKind.COLLEAGUES)
  @DeleteMapping("/{id}/off")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void switchOn(@PathVariable long id) {
    history.tell(accounts.colleague(id).name(), "", "");
    accounts.switchOn(id);
  }

  /** A colleague as the history tells of them. */
  private record Said(String name, String email, String title, String role, String language) {}

  private static Said said(Account of) {
    return new Said(of.name(), of.email(), of.title(), of.role().name(), of.language());
  }
}
