package app.jemble.mailing;

import app.jemble.core.pace.Plan;
import app.jemble.workspace.Problem;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Service;

/**
 * Who is written to by a mailing that was released, and when, until all its messages are written.
 * What is noted is what was checked; a process that dies in between leaves it to another.
 */
@Service
class ReleaseNotes {

  private static final Duration LEFT_AFTER = Duration.ofSeconds(10);

  private final ReleaseMapper mapper;

  ReleaseNotes(ReleaseMapper mapper) {
    this.mapper = mapper;
  }

  /** Notes them in the order of the plan; whoever came after it was made leaves with the last. */
  void note(long mailingId, List<Looked.Entry> ready, Plan plan, Instant now) {
    Long[] people = new Long[ready.size()];
    Long[] records = new Long[ready.size()];
    Long[] dueSeconds = new Long[ready.size()];
    for (int i = 0; i < people.length; i++) {
      people[i] = ready.get(i).personId();
      records[i] = ready.get(i).about().id();
      dueSeconds[i] =
          plan.of(Math.min(i, plan.size() - 1)).or(plan::last).orElseThrow().getEpochSecond();
    }
    mapper.note(mailingId, people, records, dueSeconds, now);
  }

  /** How far the writing of a mailing has come; null when it is done. */
  ReleaseMapper.WritingProgress progress(long mailingId) {
    return mapper.progress(mailingId);
  }

  /** Those that nobody has written for lately, such as after a process died. */
  List<Long> left(Instant now) {
    return mapper.untouchedSince(now.minus(LEFT_AFTER));
  }

  /** What is not written will not be. */
  void forget(long mailingId) {
    mapper.forget(mailingId);
  }

  /** A problem while messages are still being written. */
  void mustBeDone(long mailingId) {
    ReleaseMapper.WritingProgress progress = mapper.progress(mailingId);
    if (progress != null) {
      throw Problem.conflict(
          "Its messages are still being written (%,d of %,d); try again in a moment."
              .formatted(progress.written(), progress.messages()));
    }
  }
}
