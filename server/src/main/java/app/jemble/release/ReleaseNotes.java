package app.jemble.release;

import app.jemble.check.Checked;
import app.jemble.core.pace.Plan;
import app.jemble.core.record.PersonId;
import app.jemble.plan.MessagesWritten;
import app.jemble.problem.Problem;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Service;

/**
 * Who is written to by a mailing that was released, and when, until all its messages are written.
 * What is noted is what was checked; a process that dies in between leaves it to another.
 */
@Service
public class ReleaseNotes implements MessagesWritten {

  /** Small enough to be told how far it has come, large enough that a commit costs little. */
  static final int LOT = 2500;

  private final ReleaseMapper mapper;

  ReleaseNotes(ReleaseMapper mapper) {
    this.mapper = mapper;
  }

  /** Notes each with their instant of the plan; who came after it was made leaves with the last. */
  void note(long mailingId, List<Checked.Entry> ready, Plan plan) {
    PersonId[] people = new PersonId[ready.size()];
    Long[] records = new Long[ready.size()];
    Long[] dueSeconds = new Long[ready.size()];
    for (int i = 0; i < people.length; i++) {
      people[i] = ready.get(i).personId();
      records[i] = ready.get(i).about().id();
      Instant due = plan.of(Math.min(i, plan.size() - 1)).or(plan::last).orElseThrow();
      dueSeconds[i] = due.getEpochSecond();
    }
    mapper.note(mailingId, people, records, dueSeconds);
    mapper.cut(mailingId, LOT);
  }

  /** How far the writing of a mailing has come; null when it is done. */
  public WritingProgress progress(long mailingId) {
    return mapper.progress(mailingId);
  }

  /** Mailings whose messages are not all written, whoever is at it or was. */
  List<Long> unfinished() {
    return mapper.unfinished();
  }

  /** What is not written will not be. */
  void forget(long mailingId) {
    mapper.forget(mailingId);
  }

  /** A problem while messages are still being written. */
  @Override
  public void mustBeDone(long mailingId) {
    WritingProgress progress = mapper.progress(mailingId);
    if (progress != null) {
      throw Problem.conflict(
          String.format(
              Locale.ROOT,
              "Its messages are still being written (%,d of %,d); try again in a moment.",
              progress.written(),
              progress.messages()));
    }
  }
}
