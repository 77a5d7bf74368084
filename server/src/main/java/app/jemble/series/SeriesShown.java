package app.jemble.series;

import app.jemble.audience.AudienceParts;
import app.jemble.core.message.MailWording;
import app.jemble.sending.HoursSpan;
import app.jemble.series.EntryMapper.Counts;
import app.jemble.series.EntryMapper.StepCounts;
import app.jemble.series.SeriesView.StepView;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.ObjectMapper;

/** Series as screens show them. */
@Component
class SeriesShown {

  private final SeriesMapper mapper;
  private final EntryMapper entries;
  private final OpenSeries open;
  private final SeriesMoves moves;
  private final StepCauses causes;
  private final AudienceParts parts;
  private final ObjectMapper json;

  SeriesShown(
      SeriesMapper mapper,
      EntryMapper entries,
      OpenSeries open,
      SeriesMoves moves,
      StepCauses causes,
      AudienceParts parts,
      ObjectMapper json) {
    this.mapper = mapper;
    this.entries = entries;
    this.open = open;
    this.moves = moves;
    this.causes = causes;
    this.parts = parts;
    this.json = json;
  }

  SeriesView one(long id) {
    Series series = open.find(id);
    Counts counts =
        entries.counts(new Long[] {id}).stream().findFirst().orElse(new Counts(id, 0, 0, 0));
    return new SeriesView(
        id,
        series.name(),
        series.state(),
        series.topicId(),
        series.senderId(),
        series.isPrivate(),
        series.ownClock(),
        series.hours() == null
            ? null
            : json.readValue(series.hours(), new TypeReference<List<HoursSpan>>() {}),
        series.againDays(),
        series.endsOnReply(),
        series.endsOnClick(),
        parts.read(series.endsParts()),
        series.pausedAt(),
        series.version(),
        steps(id),
        moves.blockers(id),
        counts.in(),
        counts.finished(),
        counts.ended());
  }

  private List<StepView> steps(long id) {
    Map<Long, StepCounts> counts =
        entries.stepCounts(id).stream()
            .collect(Collectors.toMap(StepCounts::stepId, Function.identity()));
    List<StepView> steps = new ArrayList<>();
    for (SeriesStep step : mapper.stepsUncounted(id)) {
      if (step.goneAt() == null) {
        StepCounts none = new StepCounts(step.id(), 0, 0, 0, 0, 0, 0, 0, 0);
        steps.add(step(step, steps.size() + 1, counts.getOrDefault(step.id(), none)));
      }
    }
    return steps;
  }

  private StepView step(SeriesStep step, int number, StepCounts counts) {
    MailWording words = causes.wording(step.causeId());
    return new StepView(
        step.id(),
        number,
        step.waitCount(),
        step.waitUnit(),
        step.waitAt(),
        step.waits().words(),
        step.inThread(),
        parts.read(step.meant()),
        step.causeId(),
        words.subject(),
        words.body(),
        words.letterheadId(),
        words.promotional(),
        counts.sent(),
        counts.waiting(),
        counts.without(),
        counts.opened(),
        counts.clicked(),
        counts.replied(),
        counts.returned(),
        counts.leftList());
  }
}
