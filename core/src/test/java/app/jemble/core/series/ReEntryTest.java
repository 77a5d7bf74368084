package app.jemble.core.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.ZoneId;
import org.testng.annotations.Test;

/** Once a person; again only where the series allows it, after n days. */
public class ReEntryTest {

  private static final ZoneId LONDON = ZoneId.of("Europe/London");
  private static final Instant ENDED = Instant.parse("2026-03-27T08:30:00Z");

  @Test
  public void nobodyComesInTwiceUnlessTheSeriesAllowsIt() {
    assertThat(ReEntry.NEVER.allows(ENDED, Instant.parse("2030-01-01T00:00:00Z"), LONDON))
        .isFalse();
  }

  @Test
  public void nobodyComesInWhileTheyAreInIt() {
    assertThat(new ReEntry(0).allows(null, ENDED, LONDON)).isFalse();
  }

  @Test
  public void daysAreThoseOfTheWorkspacesClock() {
    ReEntry after = new ReEntry(3);
    // Clocks go forward on 29 March: it is 07:30 UTC then.
    assertThat(after.allows(ENDED, Instant.parse("2026-03-30T07:29:59Z"), LONDON)).isFalse();
    assertThat(after.allows(ENDED, Instant.parse("2026-03-30T07:30:00Z"), LONDON)).isTrue();
    assertThat(new ReEntry(0).allows(ENDED, ENDED, LONDON)).isTrue();
  }

  @Test
  public void daysHaveBounds() {
    assertThatThrownBy(() -> new ReEntry(-1)).hasMessageContaining("0 to 3,650 days");
    assertThatThrownBy(() -> new ReEntry(3651)).hasMessageContaining("0 to 3,650 days");
  }
}
