package app.jemble.series;

import app.jemble.cause.Cause;
import app.jemble.cause.CauseChanges;
import app.jemble.cause.CauseWays;
import app.jemble.cause.NewCause;
import app.jemble.cause.OpenCauses;
import app.jemble.cause.WaysBody;
import app.jemble.cause.Wordings;
import app.jemble.core.message.MailWording;
import app.jemble.message.WordingBlockers;
import app.jemble.outbox.OutboxService;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Component;

/** What steps say, each a cause of its own whose messages leave while its series is active. */
@Component
public class StepCauses {

  private final CauseChanges changes;
  private final OpenCauses open;
  private final Wordings wordings;
  private final CauseWays ways;
  private final WordingBlockers blockers;
  private final OutboxService outbox;
  private final Clock clock;

  StepCauses(
      CauseChanges changes,
      OpenCauses open,
      Wordings wordings,
      CauseWays ways,
      WordingBlockers blockers,
      OutboxService outbox,
      Clock clock) {
    this.changes = changes;
    this.open = open;
    this.wordings = wordings;
    this.ways = ways;
    this.blockers = blockers;
    this.outbox = outbox;
    this.clock = clock;
  }

  /** Begins what a step says; while its series runs its messages may leave. */
  public long begin(Series series, int number, MailWording wording) {
    long id = changes.create(sentAs(series, number), wording);
    if (series.state().takesPeople()) {
      Instant now = clock.instant();
      changes.release(id, now, now, now);
    }
    return id;
  }

  private static NewCause sentAs(Series series, int number) {
    return new NewCause(
        Cause.Kind.STEP,
        String.format(Locale.ROOT, "%s, step %d", series.name(), number),
        series.topicId(),
        series.senderId(),
        series.isPrivate(),
        null);
  }

  public MailWording wording(long cause) {
    return wordings.of(open.anybodys(cause));
  }

  /** Says something else to all who have not had it. */
  public void write(long cause, MailWording wording) {
    wordings.write(open.anybodys(cause), wording);
    changes.touch(List.of(cause));
  }

  /** On which ways a step goes, and what it says on those beside e-mail. */
  public WaysBody ways(long cause) {
    return ways.of(open.anybodys(cause));
  }

  /** The same, from now on; null changes nothing. */
  public void goBy(long cause, WaysBody wanted) {
    ways.write(open.anybodys(cause), wanted);
  }

  public void forget(long cause) {
    changes.remove(cause);
  }

  /** What was changed of a series holds for what its steps send: topic, name, who may see it. */
  public void follow(Series series, List<SeriesStep> steps) {
    for (SeriesStep step : steps) {
      changes.become(step.causeId(), sentAs(series, step.place()));
    }
  }

  /** Lets the messages of steps leave from now on, as those of the series. */
  public void release(Series series, List<SeriesStep> steps) {
    for (SeriesStep step : steps) {
      changes.releaseAs(step.causeId(), sentAs(series, step.place()));
    }
  }

  /** Nothing of these leaves until they go on. */
  public void pause(List<SeriesStep> steps, String why) {
    for (SeriesStep step : steps) {
      changes.pause(step.causeId());
      outbox.hold(step.causeId(), why);
    }
  }

  /** What was held back leaves now. */
  public void goOn(List<SeriesStep> steps) {
    for (SeriesStep step : steps) {
      changes.resume(step.causeId());
      outbox.leaveNow(step.causeId(), clock.instant());
    }
  }

  /** What has not left will not. */
  public void withdraw(List<SeriesStep> steps) {
    for (SeriesStep step : steps) {
      outbox.withdrawRest(step.causeId());
      changes.withdraw(step.causeId());
    }
  }

  /** What keeps a step from leaving, in sentences. */
  public List<String> blockers(long cause) {
    return blockers.of(open.anybodys(cause));
  }
}
