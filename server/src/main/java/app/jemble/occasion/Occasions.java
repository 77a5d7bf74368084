package app.jemble.occasion;

import app.jemble.audience.AudienceParts;
import app.jemble.cause.Cause;
import app.jemble.cause.CauseChanges;
import app.jemble.cause.NewCause;
import app.jemble.cause.OpenCauses;
import app.jemble.cause.Wordings;
import app.jemble.core.message.MailWording;
import app.jemble.core.message.SafeHtml;
import app.jemble.core.occasion.Occasion;
import app.jemble.message.WordingBlockers;
import app.jemble.outbox.OutboxService;
import app.jemble.problem.Problem;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Standing mailings on days that come round: made, changed, begun and paused. */
@Service
public class Occasions {

  private static final int MOST_CHARACTERS = 1_000_000;

  private final OccasionMapper mapper;
  private final CauseChanges causes;
  private final OpenCauses open;
  private final Wordings wordings;
  private final WordingBlockers blockers;
  private final OutboxService outbox;
  private final AudienceParts parts;
  private final OccasionCheck check;
  private final Clock clock;

  Occasions(
      OccasionMapper mapper,
      CauseChanges causes,
      OpenCauses open,
      Wordings wordings,
      WordingBlockers blockers,
      OutboxService outbox,
      AudienceParts parts,
      OccasionCheck check,
      Clock clock) {
    this.mapper = mapper;
    this.causes = causes;
    this.open = open;
    this.wordings = wordings;
    this.blockers = blockers;
    this.outbox = outbox;
    this.parts = parts;
    this.check = check;
    this.clock = clock;
  }

  public List<StandingMailing> all() {
    return mapper.all();
  }

  /** A problem when there is none. */
  public StandingMailing find(long id) {
    return there(mapper.find(id));
  }

  private static StandingMailing there(StandingMailing mailing) {
    if (mailing == null) {
      throw Problem.notFound("There is no such standing mailing any more.");
    }
    return mailing;
  }

  /** As it would be saved. */
  public OccasionBody body(StandingMailing of) {
    Cause cause = open.anybodys(of.causeId());
    MailWording words = wordings.of(cause);
    return new OccasionBody(
        of.name(),
        cause.topicId(),
        of.field(),
        of.kind(),
        of.offsetDays(),
        of.roundYears(),
        parts.read(of.whom()),
        of.saidAt(),
        of.leaves(),
        words.subject(),
        words.body(),
        words.letterheadId(),
        of.version());
  }

  @Transactional
  public StandingMailing create(OccasionBody wanted) {
    long me = check.writer().id();
    check.check(wanted);
    long cause = causes.create(sentAs(wanted, me), wording(wanted));
    return find(mapper.create(row(0, cause, wanted), clock.instant()));
  }

  @Transactional
  public StandingMailing save(long id, OccasionBody wanted) {
    check.writer();
    check.check(wanted);
    StandingMailing before = there(mapper.lock(id));
    if (mapper.save(row(id, before.causeId(), wanted)) == 0) {
      throw Problem.conflict(
          "Somebody else has changed this meanwhile. Look at theirs, then save again.");
    }
    Cause cause = open.lockAnybodys(before.causeId());
    wordings.write(cause, wording(wanted));
    causes.become(cause.id(), sentAs(wanted, cause.senderId()));
    causes.touch(List.of(cause.id()));
    if (before.state() == StandingMailing.State.ACTIVE) {
      mustBeReady(before);
    }
    return find(id);
  }

  /** Begins, or goes on. */
  @Transactional
  public StandingMailing activate(long id) {
    check.writer();
    StandingMailing of = there(mapper.lock(id));
    mustBeReady(of);
    Instant now = clock.instant();
    if (of.state() == StandingMailing.State.DRAFT) {
      causes.release(of.causeId(), now, now, now);
    } else if (of.state() == StandingMailing.State.PAUSED) {
      causes.resume(of.causeId());
      outbox.leaveNow(of.causeId(), now);
    }
    mapper.become(id, StandingMailing.State.ACTIVE);
    return find(id);
  }

  /** Nothing leaves until it goes on; days that pass meanwhile are missed. */
  @Transactional
  public StandingMailing pause(long id) {
    check.writer();
    StandingMailing of = there(mapper.lock(id));
    if (of.state() == StandingMailing.State.ACTIVE) {
      causes.pause(of.causeId());
      outbox.hold(of.causeId(), "the standing mailing is paused");
      mapper.become(id, StandingMailing.State.PAUSED);
    }
    return find(id);
  }

  private void mustBeReady(StandingMailing of) {
    List<String> wrong = blockers(of);
    if (!wrong.isEmpty()) {
      throw Problem.conflict(String.join(" ", wrong));
    }
  }

  /** What keeps it from leaving, in sentences. */
  public List<String> blockers(StandingMailing of) {
    return of.leaves() == OccasionBody.Leaves.TASK
        ? List.of()
        : blockers.of(open.anybodys(of.causeId()));
  }

  private static NewCause sentAs(OccasionBody wanted, long sender) {
    return new NewCause(
        Cause.Kind.OCCASION, wanted.name().strip(), wanted.topicId(), sender, false, null);
  }

  private static MailWording wording(OccasionBody wanted) {
    String body = wanted.body() == null ? "" : wanted.body();
    String subject = wanted.subject() == null ? "" : wanted.subject();
    if (body.length() + subject.length() > MOST_CHARACTERS) {
      throw Problem.wrong("body", "A message has at most 1,000,000 characters.");
    }
    return MailWording.by(subject, SafeHtml.clean(body), wanted.letterheadId(), false);
  }

  private StandingMailing row(long id, long cause, OccasionBody wanted) {
    return new StandingMailing(
        id,
        cause,
        wanted.name().strip(),
        wanted.field(),
        wanted.kind(),
        wanted.offset(),
        new Occasion(wanted.kind(), wanted.offset(), wanted.rounds()).rounds().toString(),
        parts.write(wanted.whom()),
        wanted.at(),
        wanted.leaves(),
        StandingMailing.State.DRAFT,
        wanted.version());
  }
}
