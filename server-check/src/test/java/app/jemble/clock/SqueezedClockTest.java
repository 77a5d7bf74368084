package app.jemble.clock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import org.testng.annotations.Test;

/** Time that passes faster from an instant on. */
public class SqueezedClockTest {

  private static final Instant NOON = Instant.parse("2026-03-02T12:00:00Z");

  private static Instant shown(String machine, double speed) {
    Clock at = Clock.fixed(Instant.parse(machine), ZoneOffset.UTC);
    return new SqueezedClock(at, NOON, speed).instant();
  }

  @Test
  public void aMinuteBecomesAnHour() {
    assertThat(shown("2026-03-02T12:01:00Z", 60)).isEqualTo("2026-03-02T13:00:00Z");
    assertThat(shown("2026-03-02T12:00:00.500Z", 60)).isEqualTo("2026-03-02T12:00:30Z");
  }

  @Test
  public void beforeItBeginsItShowsTheMachinesTime() {
    assertThat(shown("2026-03-02T11:00:00Z", 60)).isEqualTo("2026-03-02T11:00:00Z");
    assertThat(shown("2026-03-02T12:00:00Z", 60)).isEqualTo(NOON);
  }

  @Test
  public void itCannotRunSlower() {
    assertThatThrownBy(() -> shown("2026-03-02T12:00:00Z", 0.5)).hasMessageContaining("0.5");
  }
}
