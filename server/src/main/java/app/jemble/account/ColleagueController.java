package app.jemble.account;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Colleagues by name, for choosing an owner. */
@RestController
@RequestMapping("/api/colleagues")
class ColleagueController {

  record ColleagueName(String login, String name) {}

  private final AccountService accounts;

  ColleagueController(AccountService accounts) {
    this.accounts = accounts;
  }

  @GetMapping
  List<ColleagueName> all() {
    return accounts.all().stream().map(a -> new ColleagueName(a.login(), a.name())).toList();
  }
}
