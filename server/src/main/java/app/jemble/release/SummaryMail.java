package app.jemble.release;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.pool.OnBehalf;
import app.jemble.telling.ColleagueMails;
import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import org.springframework.context.annotation.Bean;
import org.springframework.stereotype.Component;

/**
 * Tells the sender, after the last message of a mailing, what became of it. It is noted before the
 * mail leaves, so that nobody is told twice, whatever dies in between.
 */
@Component
class SummaryMail {

  private final SummaryMapper mapper;
  private final ColleagueMails mails;
  private final AccountService accounts;
  private final Clock clock;

  SummaryMail(SummaryMapper mapper, ColleagueMails mails, AccountService accounts, Clock clock) {
    this.mapper = mapper;
    this.mails = mails;
    this.accounts = accounts;
    this.clock = clock;
  }

  @Bean
  RecurringTask<Void> sumUpMailings() {
    return Tasks.recurring("sum-up-mailings", FixedDelay.ofSeconds(3))
        .execute((instance, context) -> mapper.toSumUp().forEach(this::sumUp));
  }

  void sumUp(long mailingId) {
    if (mapper.summedUp(mailingId, clock.instant()) == 0) {
      return;
    }
    Account sender = accounts.find(mapper.sender(mailingId));
    Long onlyPeopleOf = accounts.onlyPeopleOf(sender.id()).orElse(null);
    SummaryMapper.Sums sums = OnBehalf.of(onlyPeopleOf, () -> mapper.sums(mailingId));
    if (sums == null) {
      return;
    }
    String back = sums.returned() == 0 ? "" : mails.words(sender, "gone.back", sums.returned());
    boolean sent =
        mails.send(
            "summary." + mailingId,
            sender,
            new ColleagueMails.Told(
                "gone",
                back,
                "/responses/" + mailingId,
                List.of(sums.name(), counts(sender, sums))));
    if (!sent) {
      mapper.notSummedUp(mailingId);
    }
  }

  /** Such as: 412 sent, 3 refused, 1 in doubt. */
  String counts(Account sender, SummaryMapper.Sums sums) {
    List<String> parts = new ArrayList<>();
    parts.add(mails.words(sender, "gone.sent", sums.sent()));
    add(parts, sender, "gone.refused", sums.refused());
    add(parts, sender, "gone.inDoubt", sums.inDoubt());
    add(parts, sender, "gone.withdrawn", sums.withdrawn());
    return String.join(", ", parts);
  }

  private void add(List<String> parts, Account sender, String key, long count) {
    if (count > 0) {
      parts.add(mails.words(sender, key, count));
    }
  }
}
