package app.jemble.cause;

import app.jemble.core.message.CauseState;
import app.jemble.core.message.MailWording;
import app.jemble.core.reach.Ways;
import app.jemble.problem.Problem;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Service;

/**
 * What becomes of a cause: begun, written, released, taken back, withdrawn. Whoever calls has asked
 * whether the colleague may, and holds the cause.
 */
@Service
public class CauseChanges {

  private final CauseMapper mapper;
  private final Wordings wordings;
  private final Clock clock;

  CauseChanges(CauseMapper mapper, Wordings wordings, Clock clock) {
    this.mapper = mapper;
    this.wordings = wordings;
    this.clock = clock;
  }

  /** Begins a cause as a draft; answers its id. */
  public long create(NewCause cause, MailWording wording) {
    return mapper.create(cause, wordings.add(wording), clock.instant());
  }

  /** Saves what the writer changed; a problem when the draft is not of the version they saw. */
  public void write(
      Cause draft, int version, String name, long topicId, boolean isPrivate, MailWording wording) {
    if (mapper.write(draft.id(), version, name, topicId, isPrivate, CauseState.DRAFT) == 0) {
      throw Problem.conflict(
          "This mailing was changed elsewhere in the meantime. Reload it to go on from there.");
    }
    wordings.write(draft.wordingId(), wording);
    mapper.shareWithRules(draft.id(), Cause.Kind.RULE);
  }

  /** By which ways its messages go from now on. */
  public void goBy(long id, Ways ways) {
    mapper.goBy(id, ways);
  }

  /** Something of these was changed: whoever is writing at one meanwhile is told. */
  public void touch(List<Long> ids) {
    mapper.touch(ids.toArray(Long[]::new));
  }

  public void discard(long id) {
    if (mapper.move(id, CauseState.DRAFT, CauseState.DISCARDED) == 0) {
      throw Problem.conflict("Only a draft can be discarded.");
    }
  }

  public void restore(long id) {
    if (mapper.move(id, CauseState.DISCARDED, CauseState.DRAFT) == 0) {
      throw Problem.conflict("Only a discarded draft can be taken back.");
    }
  }

  /**
   * Lets a draft go.
   *
   * @param heldUntil nothing leaves before it
   * @param dueAt when its first message is to leave
   */
  public void release(long id, Instant at, Instant heldUntil, Instant dueAt) {
    CauseMapper.Release release = new CauseMapper.Release(at, heldUntil, dueAt);
    mapper.release(id, CauseState.DRAFT, CauseState.RELEASED, release);
  }

  /** Lets a cause go, from a draft or again after it was withdrawn, as this one would be. */
  public void releaseAs(long id, NewCause as) {
    Instant now = clock.instant();
    CauseMapper.Release release = new CauseMapper.Release(now, now, now);
    int released =
        mapper.release(id, CauseState.DRAFT, CauseState.RELEASED, release)
            + mapper.release(id, CauseState.WITHDRAWN, CauseState.RELEASED, release);
    if (released > 0) {
      mapper.become(id, as);
    }
  }

  /** From now on it is called, sent and seen as this one would be. */
  public void become(long id, NewCause as) {
    mapper.become(id, as);
  }

  /** As if it had never been released. */
  public void takeBack(long id) {
    mapper.takeBack(id, CauseState.RELEASED, CauseState.DRAFT);
  }

  /** What has not left of it will not. */
  public void withdraw(long id) {
    mapper.move(id, CauseState.RELEASED, CauseState.WITHDRAWN);
  }

  /** All its messages are in the outbox; none leaves before an instant. */
  public void written(long id, Instant heldUntil) {
    mapper.written(id, heldUntil, CauseState.RELEASED);
  }

  public void pause(long id) {
    mapper.pause(id, clock.instant());
  }

  public void resume(long id) {
    mapper.pause(id, null);
  }

  /** A cause that has sent nothing, and what it would have said, are forgotten. */
  public void remove(long id) {
    mapper.removeWordings(mapper.remove(id).toArray(Long[]::new));
  }

  /** How many released ones of a kind a colleague sends that others may know of. */
  public long count(Cause.Kind kind, long sender) {
    return mapper.count(sender, kind, CauseState.RELEASED);
  }

  /**
   * Those of a kind that others may know of, drafts and released ones, are another's from now on.
   */
  public void handOverAll(Cause.Kind kind, long from, long to) {
    for (CauseState state : List.of(CauseState.DRAFT, CauseState.RELEASED)) {
      handOver(kind, state, from, to);
    }
  }

  void handOver(Cause.Kind kind, CauseState state, long from, long to) {
    mapper.giveAll(from, to, kind, state);
    mapper.replyTo(from, to, kind, state);
  }

  /** These are another's from now on, with what their rules send. */
  public void handOver(List<Long> ids, long from, long to) {
    Long[] these = ids.toArray(Long[]::new);
    mapper.give(these, to, Cause.Kind.RULE);
    mapper.replyOf(these, from, to);
  }
}
