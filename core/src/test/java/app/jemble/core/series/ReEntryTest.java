package app.jemble.core.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.ZoneId;
import org.testng.annotations.Test;

/** Once a person; again only where the series allows it, after n days. */
public class ReEntryTest {

  private static final ZoneId LONDON = ZoneId.of("Europe/London");

  @Test
  public void nobodyComesInTwiceUnlessTheSeriesAllowsIt() {
    assertThat(new ReEntry(null).endedBy(Instant.parse("2030-01-01T00:00:00Z"), LONDON)).isEmpty();
  }

  @Test
  public void daysAreThoseOfTheWorkspacesClock() {
    // Clocks go forward on 29 March: three days before 08:30 is 08:30, which was half an hour
    // past eight in UTC then.
    assertThat(new ReEntry(3).endedBy(Instant.parse("2026-03-30T07:30:00Z"), LONDON))
        .contains(Instant.parse("2026-03-27T08:30:00Z"));
    Instant now = Instant.parse("2026-03-30T07:30:00Z");
    assertThat(new ReEntry(0).endedBy(now, LONDON)).contains(now);
  }

  @Test
  public void daysHaveBounds() {
    assertThatThrownBy(() -> new ReEntry(-1)).hasMessageContaining("0 to 3,650 days");
    assertThatThrownBy(() -> new ReEntry(3651)).hasMessageContaining("0 to 3,650 days");
  }
}
