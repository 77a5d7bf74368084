package app.jemble.series;

import app.jemble.account.Belongings;
import app.jemble.cause.CauseChanges;
import app.jemble.core.series.SeriesState;
import java.util.List;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;

/** Series that write in a colleague's name, with steps of which some may have left. */
@Configuration(proxyBeanMethods = false)
class OwnedSeries {

  @Bean
  @Order(4)
  Belongings series(SeriesMapper mapper, CauseChanges causes) {
    return new Belongings(
        "series",
        "series",
        owner -> mapper.countSentBy(owner, SeriesState.ENDED),
        (from, to) -> {
          List<Long> steps = mapper.stepsSentBy(from.id(), SeriesState.ENDED);
          causes.handOver(steps, from.id(), to.id());
          mapper.sendBy(from.id(), to.id(), SeriesState.ENDED);
        });
  }
}
