package app.jemble.occasion;

import app.jemble.audience.AudienceParts;
import app.jemble.cause.Cause;
import app.jemble.cause.CauseChanges;
import app.jemble.cause.NewCause;
import app.jemble.cause.OpenCauses;
import app.jemble.core.message.MailWording;
import app.jemble.core.occasion.Occasion;
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

  private final OccasionMapper mapper;
  private final CauseChanges causes;
  private final OpenCauses open;
  private final OccasionWords words;
  private final OutboxService outbox;
  private final AudienceParts parts;
  private final OccasionCheck check;
  private final TurnValues values;
  private final Clock clock;

  Occasions(
      OccasionMapper mapper,
      CauseChanges causes,
      OpenCauses open,
      OccasionWords words,
      OutboxService outbox,
      AudienceParts parts,
      OccasionCheck check,
      TurnValues values,
      Clock clock) {
    this.mapper = mapper;
    this.causes = causes;
    this.open = open;
    this.words = words;
    this.outbox = outbox;
    this.parts = parts;
    this.check = check;
    this.values = values;
    this.clock = clock;
  }

  public List<StandingMailing> all() {
    return mapper.all();
  }

  /** A problem when there is none. */
  public StandingMailing find(long id) {
    return there(mapper.find(id));
  }

  private StandingMailing lockToChange(long id) {
    StandingMailing of = there(mapper.lock(id));
    check.mayChange(open.anybodys(of.causeId()));
    return of;
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
    MailWording says = words.of(of);
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
        values.card(of),
        says.subject(),
        OccasionWords.withoutCard(says.body()),
        says.letterheadId(),
        words.ways(cause),
        of.version());
  }

  @Transactional
  public StandingMailing create(OccasionBody wanted) {
    long me = check.writer().id();
    check.check(wanted);
    long cause = causes.create(sentAs(wanted, me), OccasionWords.wording(wanted));
    words.goBy(open.anybodys(cause), wanted.ways());
    return find(mapper.create(row(0, cause, wanted), clock.instant()));
  }

  @Transactional
  public StandingMailing save(long id, OccasionBody wanted) {
    check.writer();
    check.check(wanted);
    StandingMailing before = lockToChange(id);
    if (mapper.save(row(id, before.causeId(), wanted)) == 0) {
      throw Problem.conflict(
          "Somebody else has changed this meanwhile. Look at theirs, then save again.");
    }
    if (before.leaves() != wanted.leaves()) {
      mapper.follow(id, OccasionRun.standsAs(wanted.leaves()));
    }
    Cause cause = open.lockAnybodys(before.causeId());
    words.write(cause, OccasionWords.wording(wanted));
    words.goBy(cause, wanted.ways());
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
    StandingMailing of = lockToChange(id);
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
    StandingMailing of = lockToChange(id);
    if (of.state() == StandingMailing.State.ACTIVE) {
      causes.pause(of.causeId());
      outbox.hold(of.causeId(), "the standing mailing is paused");
      mapper.become(id, StandingMailing.State.PAUSED);
    }
    return find(id);
  }

  private void mustBeReady(StandingMailing of) {
    List<String> wrong = words.blockers(of);
    if (!wrong.isEmpty()) {
      throw Problem.conflict(String.join(" ", wrong));
    }
  }

  private static NewCause sentAs(OccasionBody wanted, long sender) {
    return new NewCause(
        Cause.Kind.OCCASION, wanted.name().strip(), wanted.topicId(), sender, false, null);
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
        values.write(wanted.card()),
        StandingMailing.State.DRAFT,
        wanted.version());
  }
}
