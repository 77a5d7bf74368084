package app.jemble.check;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.cause.Cause;
import app.jemble.core.access.Access;
import app.jemble.core.access.Asker;
import app.jemble.core.access.Decision;
import app.jemble.core.check.SenderLook;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Component;

/** Asks core, of as many as a mailing is for, what its sender may. */
@Component
class SenderLooks {

  private final AccountService accounts;

  SenderLooks(AccountService accounts) {
    this.accounts = accounts;
  }

  SenderLook look(Cause mailing) {
    Account sender = accounts.find(mailing.senderId());
    if (sender.off()) {
      SenderLook.Answer left =
          new SenderLook.Answer(
              sender.name() + " is no colleague any more; choose another sender.", null);
      return new SenderLook(null, people -> left);
    }
    Asker asker = sender.asker();
    return new SenderLook(
        Access.mostAtOnce(asker), people -> answer(asker, Access.write(asker, people), people));
  }

  private SenderLook.Answer answer(Asker sender, Decision decision, int people) {
    if (decision instanceof Decision.No no) {
      return new SenderLook.Answer(no.sentence(accounts.whomToAsk()), null);
    }
    if (decision instanceof Decision.WithNod nod) {
      List<String> others =
          accounts.all().stream()
              .filter(a -> !a.off() && !a.invited())
              .filter(a -> Access.nod(a.asker(), sender.id(), people).isYes())
              .map(Account::name)
              .toList();
      String who = others.isEmpty() ? "nobody here can give it" : String.join(" or ", others);
      return new SenderLook.Answer(
          null,
          String.format(
              Locale.ROOT,
              "More than %,d at once leave with the nod of a second colleague: %s.",
              nod.above(),
              who));
    }
    return SenderLook.Answer.MAY;
  }
}
