package app.jemble.series.page;

import app.jemble.audience.AudienceParts;
import app.jemble.core.message.MailWording;
import app.jemble.sending.HoursSpan;
import app.jemble.series.OpenSeries;
import app.jemble.series.Series;
import app.jemble.series.SeriesMoves;
import app.jemble.series.SeriesStep;
import app.jemble.series.StepCauses;
import app.jemble.series.entry.SeriesTally;
import app.jemble.series.entry.SeriesTally.Counts;
import app.jemble.series.entry.SeriesTally.StepCounts;
import app.jemble.series.entry.SeriesTally.Tally;
import app.jemble.series.page.SeriesView.StepView;
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

  private final SeriesTally tallies;
  private final OpenSeries open;
  private final SeriesMoves moves;
  private final StepCauses causes;
  private final AudienceParts parts;
  private final ObjectMapper json;

  SeriesShown(
      SeriesTally tallies,
      OpenSeries open,
      SeriesMoves moves,
      StepCauses causes,
      AudienceParts parts,
      ObjectMapper json) {
    this.tallies = tallies;
    this.open = open;
    this.moves = moves;
    this.causes = causes;
    this.parts = parts;
    this.json = json;
  }

  SeriesView one(long id) {
    Series series = open.find(id);
    Tally tally = tallies.of(id);
    Counts counts = tally.counts();
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
        steps(id, tally.steps()),
        moves.blockers(id),
        counts.in(),
        counts.finished(),
        counts.ended(),
        tally.countedAt());
  }

  private List<StepView> steps(long id, List<StepCounts> counted) {
    Map<Long, StepCounts> counts =
        counted.stream().collect(Collectors.toMap(StepCounts::stepId, Function.identity()));
    List<StepView> steps = new ArrayList<>();
    for (SeriesStep step : open.steps(id)) {
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
