package app.jemble.cause;

import app.jemble.account.Account;
import app.jemble.account.Belongings;
import app.jemble.core.message.CauseState;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Mailings a colleague was writing, with what their rules are to send. */
@Component
@Order(8)
class OwnedDrafts implements Belongings {

  private final CauseMapper mapper;
  private final CauseChanges changes;

  OwnedDrafts(CauseMapper mapper, CauseChanges changes) {
    this.mapper = mapper;
    this.changes = changes;
  }

  @Override
  public Words words() {
    return new Words("draft", "drafts");
  }

  @Override
  public long count(long owner) {
    return mapper.count(owner, Cause.Kind.MAILING, CauseState.DRAFT);
  }

  @Override
  public void handOver(Account from, Account to) {
    changes.handOver(Cause.Kind.MAILING, CauseState.DRAFT, from.id(), to.id());
    changes.handOver(Cause.Kind.RULE, CauseState.DRAFT, from.id(), to.id());
  }
}
