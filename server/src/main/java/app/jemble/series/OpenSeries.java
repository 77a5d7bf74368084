package app.jemble.series;

import app.jemble.access.AccessService;
import app.jemble.problem.Problem;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** The only way to a series: as far as it is open to the colleague who asks. */
@Component
public class OpenSeries {

  private final SeriesMapper mapper;
  private final AccessService access;

  OpenSeries(SeriesMapper mapper, AccessService access) {
    this.mapper = mapper;
    this.access = access;
  }

  /** A series; a problem when there is none that the colleague may see. */
  public Series find(long id) {
    return open(mapper.find(id));
  }

  /** The same, which nobody else changes until the transaction ends. */
  public Series lock(long id) {
    return open(mapper.findLocked(id));
  }

  private Series open(Series series) {
    if (series == null || !access.isOpenForWork(series.senderId(), series.isPrivate())) {
      throw Problem.notFound("There is no such series any more.");
    }
    return series;
  }

  /** A series for what runs by itself and asks for nobody; nothing when there is none. */
  public Series anybodys(long id) {
    return mapper.find(id);
  }

  /** The same, neither paused nor changed until the transaction ends. */
  public Series held(long id) {
    return mapper.findShared(id);
  }

  /** Active series into which people come by themselves. */
  public List<Long> standing() {
    return mapper.standing();
  }

  /** Its steps in order, those taken away among them. */
  public List<SeriesStep> steps(long id) {
    return mapper.steps(id);
  }

  /** The series of whose step a cause is; empty where it is of none. */
  public Optional<Series> ofCause(long causeId) {
    return Optional.ofNullable(mapper.ofCause(causeId)).map(mapper::find);
  }
}
