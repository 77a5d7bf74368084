package app.jemble.release;

import app.jemble.account.AccountService;
import app.jemble.carrier.mail.HouseMails;
import app.jemble.core.message.Mailbox;
import app.jemble.pool.OnBehalf;
import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.springframework.context.annotation.Bean;
import org.springframework.stereotype.Component;

/**
 * Tells the sender, after the last message of a mailing, what became of it. It is noted before the
 * mail leaves, so that nobody is told twice, whatever dies in between.
 */
@Component
class SummaryMail {

  private final SummaryMapper mapper;
  private final HouseMails mails;
  private final AccountService accounts;
  private final Clock clock;

  SummaryMail(SummaryMapper mapper, HouseMails mails, AccountService accounts, Clock clock) {
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
    Long onlyPeopleOf = accounts.onlyPeopleOf(mapper.sender(mailingId)).orElse(null);
    SummaryMapper.Sums sums = OnBehalf.of(onlyPeopleOf, () -> mapper.sums(mailingId));
    if (sums == null) {
      return;
    }
    boolean sent =
        mails.send(
            "summary." + mailingId,
            new Mailbox(sums.sender(), sums.address()),
            "“" + sums.name() + "” has gone",
            new HouseMails.Words(words(sums), "Responses", "/responses/" + mailingId));
    if (!sent) {
      mapper.notSummedUp(mailingId);
    }
  }

  /** Such as: “July news” has gone: 412 sent, 3 refused, 1 in doubt. 2 came back so far. */
  static String words(SummaryMapper.Sums sums) {
    List<String> parts = new ArrayList<>();
    parts.add(String.format(Locale.ROOT, "%,d sent", sums.sent()));
    add(parts, sums.refused(), "refused");
    add(parts, sums.inDoubt(), "in doubt, for you to settle in the outbox");
    add(parts, sums.withdrawn(), "withdrawn");
    String back =
        sums.returned() == 0
            ? ""
            : String.format(Locale.ROOT, " %,d came back so far.", sums.returned());
    return "“" + sums.name() + "” has gone: " + String.join(", ", parts) + "." + back;
  }

  private static void add(List<String> parts, long count, String what) {
    if (count > 0) {
      parts.add(String.format(Locale.ROOT, "%,d %s", count, what));
    }
  }
}
