package app.jemble.followup;

import app.jemble.cause.Cause;
import app.jemble.cause.CauseChanges;
import app.jemble.cause.CauseWays;
import app.jemble.cause.NewCause;
import app.jemble.cause.OpenCauses;
import app.jemble.cause.WaysBody;
import app.jemble.cause.Wordings;
import app.jemble.core.message.MailWording;
import app.jemble.core.message.SafeHtml;
import app.jemble.message.WordingBlockers;
import app.jemble.outbox.OutboxService;
import app.jemble.plan.PlanService;
import app.jemble.problem.Problem;
import java.util.List;
import org.springframework.stereotype.Service;

/**
 * The messages that follow-up rules send: each rule that does is a cause of its own, written with
 * it and released with the mailing it follows; its messages are put in the outbox one by one as
 * they come due.
 */
@Service
public class RuleTexts {

  private static final int MOST_CHARACTERS = 1_000_000;

  private final Wordings wordings;
  private final CauseWays ways;
  private final CauseChanges causes;
  private final OpenCauses open;
  private final WordingBlockers blockers;
  private final PlanService plans;
  private final OutboxService outbox;

  RuleTexts(
      Wordings wordings,
      CauseWays ways,
      CauseChanges causes,
      OpenCauses open,
      WordingBlockers blockers,
      PlanService plans,
      OutboxService outbox) {
    this.wordings = wordings;
    this.ways = ways;
    this.causes = causes;
    this.open = open;
    this.blockers = blockers;
    this.plans = plans;
    this.outbox = outbox;
  }

  /** Begins what a rule sends; answers its id. */
  public long add(long mailingId, String body) {
    Cause mailing = open.anybodys(mailingId);
    String subject = wordings.of(mailing).subject();
    return causes.create(
        sentAs(mailing, "follow-up"), MailWording.by(subject, sound(body), null, true));
  }

  /** Changes its text; those who have had it keep what they got. */
  public void write(long id, String body) {
    Cause rule = open.anybodys(id);
    MailWording before = wordings.of(rule);
    String after = sound(body);
    if (!before.body().equals(after)) {
      wordings.write(rule, before.saying(before.subject(), after));
      causes.touch(List.of(id));
    }
  }

  /** On which ways it goes, and what it says on those beside e-mail. */
  public WaysBody ways(long id) {
    return ways.of(open.anybodys(id));
  }

  /** The same, from now on; null changes nothing. */
  public void goBy(long id, WaysBody wanted) {
    ways.write(open.anybodys(id), wanted);
  }

  public String body(long id) {
    return wordings.of(open.anybodys(id)).body();
  }

  /** What is wrong with its texts, in sentences. */
  public List<String> errors(long id) {
    return blockers.besideMail(open.anybodys(id));
  }

  private static String sound(String body) {
    if (body == null || body.isBlank()) {
      throw Problem.wrong("body", "Write what is to be sent.");
    }
    if (body.length() > MOST_CHARACTERS) {
      throw Problem.wrong("body", "A text has at most a million characters.");
    }
    return SafeHtml.clean(body);
  }

  /** Lets its messages leave from now on, as those of the mailing it follows do. */
  public void release(long id, String name) {
    Cause rule = open.anybodys(id);
    Cause mailing = open.anybodys(rule.followsId());
    plans.write(id, plans.of(mailing).forEach());
    MailWording words = wordings.of(mailing);
    wordings.write(rule, words.saying(words.subject(), wordings.of(rule).body()).from(null, null));
    causes.releaseAs(id, sentAs(mailing, name));
  }

  private static NewCause sentAs(Cause mailing, String name) {
    return new NewCause(
        Cause.Kind.RULE,
        mailing.name() + ", " + name,
        mailing.topicId(),
        mailing.senderId(),
        mailing.isPrivate(),
        mailing.id());
  }

  public void takeBack(long id) {
    causes.takeBack(id);
  }

  /** Nothing of it leaves any more; returns how many messages were in the outbox. */
  public int withdraw(long id) {
    int messages = outbox.withdrawRest(id);
    causes.withdraw(id);
    return messages;
  }

  /** What has sent nothing is forgotten. */
  public void remove(long id) {
    causes.remove(id);
  }
}
