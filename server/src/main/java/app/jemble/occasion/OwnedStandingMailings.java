package app.jemble.occasion;

import app.jemble.account.Account;
import app.jemble.account.Belongings;
import app.jemble.cause.Cause;
import app.jemble.cause.CauseChanges;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Standing mailings that write in a colleague's name. */
@Component
@Order(5)
class OwnedStandingMailings implements Belongings {

  private final CauseChanges causes;

  OwnedStandingMailings(CauseChanges causes) {
    this.causes = causes;
  }

  @Override
  public Words words() {
    return new Words("standing mailing", "standing mailings");
  }

  @Override
  public long count(long owner) {
    return causes.count(Cause.Kind.OCCASION, owner);
  }

  @Override
  public void handOver(Account from, Account to) {
    causes.handOverAll(Cause.Kind.OCCASION, from.id(), to.id());
  }
}
