package app.jemble.check;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.cause.Cause;
import app.jemble.core.access.Access;
import app.jemble.core.access.Decision;
import app.jemble.core.check.SenderLook;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Asks core, of as many as a mailing is for, what its sender and who looks may. */
@Component
class SenderLooks {

  /** Whoever needs a nod cannot give one anyway. */
  private static final long NOBODY = 0;

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
    List<Account> both =
        Stream.concat(Stream.of(sender), accounts.signedIn().stream()).distinct().toList();
    Integer most =
        both.stream()
            .map(who -> Access.mostAtOnce(who.asker()))
            .filter(Objects::nonNull)
            .min(Integer::compare)
            .orElse(null);
    return new SenderLook(most, people -> answer(both, people));
  }

  /** What binds one of them binds the mailing: a refusal before a nod. */
  private SenderLook.Answer answer(List<Account> both, int people) {
    List<Decision> decisions = both.stream().map(who -> Access.write(who.asker(), people)).toList();
    for (Decision decision : decisions) {
      if (decision instanceof Decision.No no) {
        return new SenderLook.Answer(no.sentence(accounts.whomToAsk()), null);
      }
    }
    for (Decision decision : decisions) {
      if (decision instanceof Decision.WithNod nod) {
        return new SenderLook.Answer(null, nodWords(nod, people));
      }
    }
    return SenderLook.Answer.MAY;
  }

  private String nodWords(Decision.WithNod nod, int people) {
    List<String> others =
        accounts.all().stream()
            .filter(a -> !a.off() && !a.invited())
            .filter(a -> Access.nod(a.asker(), NOBODY, people).isYes())
            .map(Account::name)
            .toList();
    String who = others.isEmpty() ? "nobody here can give it" : String.join(" or ", others);
    return String.format(
        Locale.ROOT,
        "More than %,d at once leave with the nod of a second colleague: %s.",
        nod.above(),
        who);
  }
}
