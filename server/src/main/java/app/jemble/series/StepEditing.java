package app.jemble.series;

import app.jemble.account.AccountService;
import app.jemble.audience.AudienceParts;
import app.jemble.core.message.MailWording;
import app.jemble.core.message.SafeHtml;
import app.jemble.core.series.SeriesException;
import app.jemble.core.series.SeriesState;
import app.jemble.core.series.Steps;
import app.jemble.core.series.Steps.Step;
import app.jemble.core.series.Wait;
import app.jemble.problem.Problem;
import java.time.Clock;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The steps of a series: put in, changed, put in another order, taken away, also while it runs. */
@Service
public class StepEditing {

  private static final int MOST_STEPS = 100;
  private static final int MOST_CHARACTERS = 1_000_000;

  private final SeriesMapper mapper;
  private final SeriesEntries entries;
  private final OpenSeries open;
  private final StepCauses causes;
  private final AudienceParts parts;
  private final AccountService accounts;
  private final Clock clock;

  StepEditing(
      SeriesMapper mapper,
      SeriesEntries entries,
      OpenSeries open,
      StepCauses causes,
      AudienceParts parts,
      AccountService accounts,
      Clock clock) {
    this.mapper = mapper;
    this.entries = entries;
    this.open = open;
    this.causes = causes;
    this.parts = parts;
    this.accounts = accounts;
    this.clock = clock;
  }

  /**
   * Puts a step in before another, or at the end.
   *
   * @param before null for the end
   * @param finishedToo at the end: also for those who had finished
   */
  @Transactional
  public long add(long seriesId, StepBody body, Long before, boolean finishedToo) {
    Series series = changeable(seriesId);
    List<SeriesStep> now = mapper.steps(seriesId);
    if (now.stream().filter(s -> s.goneAt() == null).count() >= MOST_STEPS) {
      throw Problem.conflict("A series has at most 100 steps.");
    }
    if (before != null) {
      live(now, before);
    }
    long cause = causes.begin(series, now.size() + 1, wording(body));
    causes.goBy(cause, body.ways());
    SeriesStep added = step(0, seriesId, now.size() + 1, cause, body);
    mustBeReady(series, cause);
    long id = mapper.addStep(added);
    Steps order =
        steps(now, entries.had(seriesId)).with(new Step(id, 0, added.waits(), false, 0), before);
    order.all().forEach(step -> mapper.place(step.id(), step.place()));
    Instant at = clock.instant();
    if (before == null && finishedToo) {
      entries.goOnAfterEnd(seriesId, at);
    }
    entries.lookAtAll(seriesId, at);
    return id;
  }

  /** Changes text and wait for all who have not had it. */
  @Transactional
  public void write(long seriesId, long stepId, StepBody body) {
    Series series = changeable(seriesId);
    SeriesStep before = live(mapper.steps(seriesId), stepId);
    mapper.writeStep(step(stepId, seriesId, before.place(), before.causeId(), body));
    causes.write(before.causeId(), wording(body));
    causes.goBy(before.causeId(), body.ways());
    mustBeReady(series, before.causeId());
    entries.lookAtAll(seriesId, clock.instant());
  }

  /** By step, what those that are left say, in order. */
  public Map<Long, MailWording> wordings(long seriesId) {
    Map<Long, MailWording> wordings = new LinkedHashMap<>();
    mapper.steps(seriesId).stream()
        .filter(step -> step.goneAt() == null)
        .forEach(step -> wordings.put(step.id(), causes.wording(step.causeId())));
    return wordings;
  }

  /** Changes what a step says, and nothing else of it. */
  @Transactional
  public void say(long seriesId, long stepId, String subject, String body) {
    Series series = changeable(seriesId);
    SeriesStep step = live(mapper.steps(seriesId), stepId);
    MailWording before = causes.wording(step.causeId());
    causes.write(
        step.causeId(),
        MailWording.by(subject, SafeHtml.clean(body), before.letterheadId(), before.promotional()));
    mustBeReady(series, step.causeId());
  }

  /** Takes a step away: it is past for all. One that nobody had is forgotten. */
  @Transactional
  public void takeAway(long seriesId, long stepId) {
    changeable(seriesId);
    SeriesStep step = live(mapper.steps(seriesId), stepId);
    if (entries.had(seriesId).getOrDefault(stepId, 0L) == 0) {
      mapper.removeStep(stepId);
      causes.forget(step.causeId());
    } else {
      mapper.takeAway(stepId, clock.instant());
    }
    entries.lookAtAll(seriesId, clock.instant());
  }

  /** A step that was taken away is there again for all who are not past its place. */
  @Transactional
  public void putBack(long seriesId, long stepId) {
    Series series = changeable(seriesId);
    SeriesStep gone =
        mapper.steps(seriesId).stream()
            .filter(s -> s.id() == stepId && s.goneAt() != null)
            .findFirst()
            .orElseThrow(() -> Problem.conflict("There is no such step that was taken away."));
    mustBeReady(series, gone.causeId());
    mapper.putBack(stepId);
    entries.goOnWithout(seriesId, stepId, gone.goneAt(), clock.instant());
    entries.lookAtAll(seriesId, clock.instant());
  }

  /** Puts steps that nobody has had in another order. */
  @Transactional
  public void order(long seriesId, List<Long> wanted) {
    changeable(seriesId);
    try {
      Steps order = steps(mapper.steps(seriesId), entries.had(seriesId)).inOrder(wanted);
      order.all().forEach(step -> mapper.place(step.id(), step.place()));
    } catch (SeriesException wrong) {
      throw Problem.wrong("order", wrong.getMessage());
    }
    entries.lookAtAll(seriesId, clock.instant());
  }

  /**
   * What would block activation is not put into a series that runs: nobody looks before it leaves.
   */
  private void mustBeReady(Series series, long cause) {
    if (series.state() == SeriesState.ACTIVE) {
      causes.blockers(cause).stream()
          .findFirst()
          .ifPresent(
              first -> {
                throw Problem.wrong("body", first);
              });
    }
  }

  private Series changeable(long seriesId) {
    accounts.currentWriter();
    Series series = open.lock(seriesId);
    if (series.state() == SeriesState.ENDED) {
      throw Problem.conflict("This series was ended; nothing of it changes any more.");
    }
    return series;
  }

  private static SeriesStep live(List<SeriesStep> steps, long id) {
    return steps.stream()
        .filter(s -> s.id() == id && s.goneAt() == null)
        .findFirst()
        .orElseThrow(() -> Problem.notFound("There is no such step any more."));
  }

  private static Steps steps(List<SeriesStep> steps, Map<Long, Long> had) {
    return new Steps(steps.stream().map(s -> s.inOrder(had.getOrDefault(s.id(), 0L))).toList());
  }

  private SeriesStep step(long id, long seriesId, int place, long cause, StepBody body) {
    if (body.waitUnit() == null || body.waitCount() < 0 || body.waitCount() > Wait.MOST) {
      throw Problem.wrong(
          "waitCount", "A step waits 0 to 1,000 minutes, hours, days or working days.");
    }
    return new SeriesStep(
        id,
        seriesId,
        place,
        cause,
        body.waitCount(),
        body.waitUnit(),
        body.waitAt(),
        body.inThread(),
        parts.write(body.meant() == null ? List.of() : body.meant()),
        null);
  }

  private static MailWording wording(StepBody body) {
    String subject = body.subject() == null ? "" : body.subject();
    String text = body.body() == null ? "" : body.body();
    if (subject.length() > MOST_CHARACTERS || text.length() > MOST_CHARACTERS) {
      throw Problem.wrong("body", "A text has at most a million characters.");
    }
    return MailWording.by(subject, SafeHtml.clean(text), body.letterheadId(), body.promotional());
  }
}
