package app.jemble.series;

import app.jemble.account.Account;
import app.jemble.account.Belongings;
import app.jemble.cause.Cause;
import app.jemble.cause.CauseChanges;
import app.jemble.core.series.SeriesState;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Series that write in a colleague's name. */
@Component
@Order(4)
class OwnedSeries implements Belongings {

  private final SeriesMapper mapper;
  private final CauseChanges causes;

  OwnedSeries(SeriesMapper mapper, CauseChanges causes) {
    this.mapper = mapper;
    this.causes = causes;
  }

  @Override
  public Words words() {
    return new Words("series", "series");
  }

  @Override
  public long count(long owner) {
    return mapper.countSentBy(owner, SeriesState.ENDED);
  }

  /** With their steps, of which some may have left: what comes is sent by the other. */
  @Override
  public void handOver(Account from, Account to) {
    mapper.sendBy(from.id(), to.id(), SeriesState.ENDED);
    causes.handOverAll(Cause.Kind.STEP, from.id(), to.id());
  }
}
