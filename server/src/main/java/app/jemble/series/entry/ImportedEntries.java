package app.jemble.series.entry;

import app.jemble.core.record.PersonId;
import app.jemble.exchange.BroughtIn;
import app.jemble.series.OpenSeries;
import java.util.List;
import org.springframework.stereotype.Component;

/** People who were imported come into the series that was chosen for them. */
@Component
class ImportedEntries implements BroughtIn {

  private final OpenSeries open;
  private final Entering entering;

  ImportedEntries(OpenSeries open, Entering entering) {
    this.open = open;
    this.entering = entering;
  }

  @Override
  public void mustBeOpen(long series) {
    open.find(series);
  }

  @Override
  public void comeInto(long series, List<PersonId> people, String cameBy, long act) {
    entering.comeInThemselves(series, people.stream().sorted().toList(), cameBy, act);
  }
}
