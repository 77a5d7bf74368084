package app.jemble.release;

import app.jemble.cause.Cause;
import app.jemble.cause.CauseChanges;
import app.jemble.cause.OpenCauses;
import app.jemble.check.CheckService;
import app.jemble.check.Checked;
import app.jemble.core.check.Finding;
import app.jemble.core.message.CauseState;
import app.jemble.core.pace.Plan;
import app.jemble.core.pace.PlanAsk;
import app.jemble.core.pace.Planner;
import app.jemble.mailing.MailingFiles;
import app.jemble.plan.PlanService;
import app.jemble.problem.Problem;
import java.time.Clock;
import java.time.Instant;
import java.util.function.ObjIntConsumer;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The act that lets a mailing go. */
@Service
public class ReleaseService {

  private final CauseChanges changes;
  private final OpenCauses open;
  private final CheckService checks;
  private final MailingFiles files;
  private final PlanService plans;
  private final ReleaseNotes writing;
  private final WithRelease withRelease;
  private final ReleaseRights rights;
  private final Clock clock;

  ReleaseService(
      CauseChanges changes,
      OpenCauses open,
      CheckService checks,
      MailingFiles files,
      PlanService plans,
      ReleaseNotes writing,
      WithRelease withRelease,
      ReleaseRights rights,
      Clock clock) {
    this.changes = changes;
    this.open = open;
    this.checks = checks;
    this.files = files;
    this.plans = plans;
    this.writing = writing;
    this.withRelease = withRelease;
    this.rights = rights;
    this.clock = clock;
  }

  /**
   * Checks everyone once more, notes who is written to and when, and holds the mailing. The
   * messages themselves are written after that.
   *
   * @param version the version the writer saw; a later one is refused
   */
  @Transactional
  public void release(long id, int version) {
    release(id, version, rights::mustRelease);
  }

  /**
   * The same, when the colleague who is signed in nods to the release of another.
   *
   * @param askedBy who asked for the nod
   */
  @Transactional
  public void releaseWithNod(long id, int version, long askedBy) {
    release(id, version, (mailing, people) -> rights.mustNod(askedBy, people));
  }

  private void release(long id, int version, ObjIntConsumer<Cause> may) {
    Cause mailing = open.lock(id);
    mustBeReleasable(mailing, version);
    withRelease.mayRelease(mailing);
    Checked everyone = checks.check(mailing, CheckService.Progress.NONE);
    everyone.findings().stream()
        .filter(f -> f.severity() == Finding.Severity.BLOCKER)
        .findFirst()
        .ifPresent(
            f -> {
              throw Problem.conflict(f.sentence());
            });
    may.accept(mailing, everyone.ready().size());
    Instant now = clock.instant();
    Instant heldUntil = plans.afterHold(now);
    PlanAsk ask = plans.ask(mailing, plans.of(mailing), heldUntil);
    Plan plan = Planner.plan(ask, everyone.clocks());
    changes.release(id, now, heldUntil, plan.first().orElse(heldUntil));
    files.fillRecipients(id, CheckService.names(everyone));
    writing.note(id, everyone.ready(), plan);
    withRelease.released(mailing);
  }

  private static void mustBeReleasable(Cause mailing, int version) {
    if (mailing.state() != CauseState.DRAFT) {
      throw Problem.conflict(
          mailing.hasBeenReleased()
              ? "This mailing has already been released."
              : "This draft has been discarded; take it back first.");
    }
    if (mailing.version() != version) {
      throw Problem.conflict(
          "This mailing was changed in the meantime. Look again before release.");
    }
    if (mailing.isRule()) {
      throw Problem.conflict(
          "It is sent by a rule of the mailing it follows, and released with it.");
    }
  }
}
