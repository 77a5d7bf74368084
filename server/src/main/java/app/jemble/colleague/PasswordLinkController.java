package app.jemble.colleague;

import app.jemble.access.Needs;
import app.jemble.colleague.PasswordLinks.LinkOwner;
import app.jemble.core.access.Right;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** For whoever has a link by which a password is set; nobody is signed in. */
@RestController
@RequestMapping("/api/password-links")
class PasswordLinkController {

  record GivenLink(String token) {}

  record NewPassword(String token, String password) {}

  private final PasswordLinks links;

  PasswordLinkController(PasswordLinks links) {
    this.links = links;
  }

  /** Whom the link is for. */
  @Needs(Right.NONE)
  @PostMapping("/look")
  LinkOwner look(@RequestBody GivenLink given) {
    return links.owner(given.token());
  }

  @Needs(Right.NONE)
  @PostMapping("/use")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void use(@RequestBody NewPassword given) {
    links.use(given.token(), given.password());
  }
}
