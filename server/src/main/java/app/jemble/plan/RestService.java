package app.jemble.plan;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.cause.Cause;
import app.jemble.cause.CauseChanges;
import app.jemble.cause.OpenCauses;
import app.jemble.core.message.CauseState;
import app.jemble.core.message.MessageId;
import app.jemble.core.pace.Clocks;
import app.jemble.core.pace.Plan;
import app.jemble.core.pace.Planner;
import app.jemble.outbox.OutboxService;
import app.jemble.problem.Problem;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What can be done, at any time, about the messages of a released mailing that have not left. */
@Service
class RestService {

  private final CauseChanges changes;
  private final OpenCauses open;
  private final PlanService plans;
  private final MessagesWritten written;
  private final OutboxService outbox;
  private final WorkspaceService workspace;
  private final AccountService accounts;
  private final Clock clock;

  RestService(
      CauseChanges changes,
      OpenCauses open,
      PlanService plans,
      MessagesWritten written,
      OutboxService outbox,
      WorkspaceService workspace,
      AccountService accounts,
      Clock clock) {
    this.changes = changes;
    this.open = open;
    this.plans = plans;
    this.written = written;
    this.outbox = outbox;
    this.workspace = workspace;
    this.accounts = accounts;
    this.clock = clock;
  }

  /** Holds back what has not left; returns how many messages. */
  @Transactional
  int pause(long id) {
    Account who = accounts.currentWriter();
    Cause mailing = released(id);
    if (mailing.pausedAt() != null) {
      throw Problem.conflict("This mailing is paused already.");
    }
    changes.pause(id);
    return outbox.hold(id, "paused by " + who.name());
  }

  /** Lets the rest leave, by the plan it had, from now on. */
  @Transactional
  int resume(long id) {
    accounts.currentWriter();
    Cause mailing = released(id);
    if (mailing.pausedAt() == null) {
      throw Problem.conflict("This mailing is not paused.");
    }
    return goOn(mailing, plans.of(mailing));
  }

  /** Lets the rest leave by another plan; a paused mailing goes on. */
  @Transactional
  int change(long id, SendPlan plan) {
    accounts.currentWriter();
    return goOn(released(id), plan);
  }

  /** After a cap was used up: lets the rest leave by the plan it has, on days that have room. */
  @Transactional
  void goOnAfterCap(long id) {
    Cause mailing = underWay(open.lockAnybodys(id));
    if (mailing.pausedAt() == null) {
      goOn(mailing, plans.of(mailing));
    }
  }

  /** Where those are who still wait, in the order in which their messages were to leave. */
  Clocks clocks(long id) {
    return clocks(outbox.rest(id));
  }

  /** Nothing that is held can leave before this. */
  Instant earliest(Cause mailing) {
    Instant now = clock.instant();
    return mailing.isHeld(now) ? mailing.heldUntil() : now;
  }

  private int goOn(Cause mailing, SendPlan plan) {
    List<OutboxService.Waiting> rest = outbox.rest(mailing.id());
    if (rest.isEmpty()) {
      throw Problem.conflict("Nothing of this mailing waits any more.");
    }
    Plan planned = Planner.plan(plans.ask(mailing, plan, earliest(mailing)), clocks(rest));
    if (planned.unplanned() > 0) {
      throw Problem.conflict(
          "Under these hours and caps some messages would never leave; change the plan.");
    }
    MessageId[] ids = new MessageId[rest.size()];
    Long[] seconds = new Long[rest.size()];
    for (int i = 0; i < ids.length; i++) {
      ids[i] = rest.get(i).id();
      seconds[i] = planned.of(i).orElseThrow().getEpochSecond();
    }
    plans.write(mailing.id(), plan);
    changes.resume(mailing.id());
    return outbox.replan(ids, seconds);
  }

  private Clocks clocks(List<OutboxService.Waiting> rest) {
    ReaderClocks clocks = new ReaderClocks(workspace.current().zoneId());
    rest.forEach(message -> clocks.add(message.timeZone(), message.way()));
    return clocks.clocks();
  }

  private Cause released(long id) {
    return underWay(open.lock(id));
  }

  private Cause underWay(Cause mailing) {
    if (mailing.state() != CauseState.RELEASED) {
      throw Problem.conflict("Only a released mailing has messages under way.");
    }
    written.mustBeDone(mailing.id());
    return mailing;
  }
}
