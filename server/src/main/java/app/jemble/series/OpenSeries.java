package app.jemble.series;

import app.jemble.access.AccessService;
import app.jemble.problem.Problem;
import org.springframework.stereotype.Component;

/** The only way to a series: as far as it is open to the colleague who asks. */
@Component
class OpenSeries {

  private final SeriesMapper mapper;
  private final AccessService access;

  OpenSeries(SeriesMapper mapper, AccessService access) {
    this.mapper = mapper;
    this.access = access;
  }

  /** A series; a problem when there is none that the colleague may see. */
  Series find(long id) {
    return open(mapper.find(id));
  }

  /** The same, which nobody else changes until the transaction ends. */
  Series lock(long id) {
    return open(mapper.findLocked(id));
  }

  private Series open(Series series) {
    if (series == null || !access.isOpen(series.senderId(), series.isPrivate())) {
      throw Problem.notFound("There is no such series any more.");
    }
    return series;
  }
}
