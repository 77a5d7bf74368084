package app.jemble.colleague;

import app.jemble.access.Needs;
import app.jemble.account.AccountService;
import app.jemble.account.AccountService.ColleagueDraft;
import app.jemble.account.SecondFactors;
import app.jemble.colleague.PasswordLinks.MadeLink;
import app.jemble.core.access.Right;
import app.jemble.core.access.Role;
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

  record Invitation(String login, String name, String email, String title, Role role) {}

  private final AccountService accounts;
  private final PasswordLinks links;
  private final Leaving leaving;
  private final SecondFactors factors;

  ColleaguesController(
      AccountService accounts, PasswordLinks links, Leaving leaving, SecondFactors factors) {
    this.factors = factors;
    this.accounts = accounts;
    this.links = links;
    this.leaving = leaving;
  }

  /** Adds a colleague, and mails them the link by which they set their password. */
  @Needs(Right.ADMINISTER)
  @PostMapping
  MadeLink invite(@RequestBody Invitation of) {
    return links.make(
        accounts.invite(
            of.login(), new ColleagueDraft(of.name(), of.email(), of.title(), of.role())));
  }

  @Needs(Right.ADMINISTER)
  @PutMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void change(@PathVariable long id, @RequestBody ColleagueDraft draft) {
    accounts.change(id, draft);
  }

  /** A new link for who was invited, or has forgotten the password. */
  @Needs(Right.ADMINISTER)
  @PostMapping("/{id}/password-link")
  MadeLink newLink(@PathVariable long id) {
    return links.make(id);
  }

  /** For who lost app and codes: the password alone lets them in, wherever they are not now. */
  @Needs(Right.ADMINISTER)
  @DeleteMapping("/{id}/second-factor")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void takeOffSecondFactor(@PathVariable long id) {
    factors.takeOffAnothers(accounts.colleague(id));
  }

  /** What they would leave behind. */
  @Needs(Right.ADMINISTER)
  @GetMapping("/{id}/belongings")
  Leaving.Estate belongings(@PathVariable long id) {
    return leaving.of(id);
  }

  /** Lets them sign in no more and hands over what is theirs; they are signed out at once. */
  @Needs(Right.ADMINISTER)
  @PutMapping("/{id}/off")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void switchOff(@PathVariable long id, @RequestBody Leaving.Wish wish) {
    leaving.switchOff(id, wish);
  }

  @Needs(Right.ADMINISTER)
  @DeleteMapping("/{id}/off")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void switchOn(@PathVariable long id) {
    accounts.switchOn(id);
  }
}
