package app.jemble.occasion;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.cause.OpenCauses;
import app.jemble.core.filter.AsOf;
import app.jemble.filter.AskedNow;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** What days that come round take from the house: its clock, and who writes. */
@Component
class OccasionHouse {

  private final OpenCauses open;
  private final AccountService accounts;
  private final AskedNow asked;
  private final WorkspaceService workspace;
  private final TransactionTemplate transaction;
  private final Clock clock;

  OccasionHouse(
      OpenCauses open,
      AccountService accounts,
      AskedNow asked,
      WorkspaceService workspace,
      TransactionTemplate transaction,
      Clock clock) {
    this.open = open;
    this.accounts = accounts;
    this.asked = asked;
    this.workspace = workspace;
    this.transaction = transaction;
    this.clock = clock;
  }

  LocalDate today() {
    return clock.instant().atZone(zone()).toLocalDate();
  }

  ZoneId zone() {
    return workspace.current().zoneId();
  }

  Account sender(StandingMailing of) {
    return accounts.find(open.anybodys(of.causeId()).senderId());
  }

  /** Its filters are asked for its sender. */
  AsOf asOf(StandingMailing of) {
    return asked.by(sender(of));
  }

  void inOneGo(Runnable work) {
    transaction.executeWithoutResult(tx -> work.run());
  }

  <T> T inOneGo(Supplier<T> work) {
    return transaction.execute(tx -> work.get());
  }
}
