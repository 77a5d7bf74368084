package app.jemble.mailing;

import app.jemble.problem.Problem;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Service;

/**
 * What becomes of a mailing: begun, written, released, taken back, withdrawn. Whoever calls has
 * asked whether the colleague may, and holds the mailing.
 */
@Service
public class MailingChanges {

  private final MailingMapper mapper;
  private final Clock clock;

  MailingChanges(MailingMapper mapper, Clock clock) {
    this.mapper = mapper;
    this.clock = clock;
  }

  /** Begins a mailing; answers its id. */
  public long create(NewDraft draft) {
    return mapper.create(draft, clock.instant());
  }

  /** In whose name, where replies go and what is counted, as with another mailing. */
  public void takeOptions(long from, long to) {
    mapper.takeOptions(from, to);
  }

  /** Saves what the writer changed; a problem when the draft is not of the version they saw. */
  public void write(long id, int version, DraftChange change) {
    if (mapper.change(id, version, change) == 0) {
      throw Problem.conflict(
          "This mailing was changed elsewhere in the meantime. Reload it to go on from there.");
    }
    mapper.shareWithRules(id);
  }

  /** Leaves people of a draft out besides those who already are. */
  public void leaveOut(long id, List<Long> people) {
    mapper.leaveOut(id, people.toArray(Long[]::new));
  }

  public void discard(long id) {
    if (mapper.discard(id) == 0) {
      throw Problem.conflict("Only a draft can be discarded.");
    }
  }

  public void restore(long id) {
    if (mapper.restore(id) == 0) {
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
    mapper.release(id, at, heldUntil, dueAt);
  }

  /** All its messages are in the outbox; none leaves before an instant. */
  public void written(long id, Instant heldUntil) {
    mapper.written(id, heldUntil);
  }

  /** Its sender is told what became of it; false when another process has done so. */
  public boolean sumUp(long id) {
    return mapper.sumUp(id, clock.instant()) > 0;
  }

  /** Its sender could not be told. */
  public void forgetSummary(long id) {
    mapper.forgetSummary(id);
  }

  /** As if it had never been released. */
  public void takeBack(long id) {
    mapper.takeBack(id);
  }

  /** What has not left of it will not. */
  public void withdraw(long id) {
    mapper.withdraw(id);
  }

  public void pause(long id) {
    mapper.pause(id, clock.instant());
  }

  /** The rest leaves by this plan, and is no longer held back. */
  public void goOn(long id, String plan) {
    mapper.goOn(id, plan);
  }

  /** The parts of audiences that ask for lists, locked until the transaction ends. */
  public List<StoredParts> aboutLists() {
    return mapper.aboutLists();
  }

  public void writeParts(StoredParts parts) {
    mapper.writeParts(parts);
  }
}
