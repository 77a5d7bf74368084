package app.jemble.core.series;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.series.Forecast.Day;
import app.jemble.core.series.Steps.Step;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.Test;

/** Messages a day, by step, for four weeks. */
public class ForecastTest {

  private static final ZoneId LONDON = ZoneId.of("Europe/London");
  private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);

  private static WayAhead.Ahead ahead(int place, String at) {
    Step step = new Step(place, place, new Wait(1, Wait.Unit.DAYS, null), false, 0);
    return new WayAhead.Ahead(step, at == null ? Optional.empty() : Optional.of(Instant.parse(at)));
  }

  @Test
  public void eachMessageIsCountedOnItsDayByItsStep() {
    Forecast forecast = new Forecast(TODAY, LONDON);
    forecast.add(List.of(ahead(1, "2026-06-01T09:00:00Z"), ahead(2, "2026-06-03T09:00:00Z")));
    forecast.add(List.of(ahead(2, "2026-06-03T22:59:59Z")));
    // An hour before midnight by the clock of Greenwich is tomorrow in a London summer.
    forecast.add(List.of(ahead(2, "2026-06-03T23:30:00Z"), ahead(3, null)));
    assertThat(forecast.of(3))
        .containsExactly(
            new Day(TODAY, Map.of(1, 1L)),
            new Day(TODAY.plusDays(2), Map.of(2, 2L)),
            new Day(TODAY.plusDays(3), Map.of(2, 1L)));
    assertThat(forecast.of(3).get(1).messages()).isEqualTo(2);
  }

  @Test
  public void whatIsLateLeavesTodayAndWhatIsAfterFourWeeksIsNotSaid() {
    Forecast forecast = new Forecast(TODAY, LONDON);
    forecast.add(List.of(ahead(1, "2026-05-30T09:00:00Z"), ahead(2, "2026-06-29T09:00:00Z")));
    forecast.add(List.of(ahead(2, "2026-06-28T09:00:00Z")));
    assertThat(forecast.of(2))
        .containsExactly(new Day(TODAY, Map.of(1, 1L)), new Day(TODAY.plusDays(27), Map.of(2, 1L)));
  }

  @Test
  public void aSampleStandsForAll() {
    Forecast forecast = new Forecast(TODAY, LONDON);
    for (int i = 0; i < 50; i++) {
      forecast.add(List.of(ahead(1, "2026-06-01T09:00:00Z")));
    }
    assertThat(forecast.of(10_000)).containsExactly(new Day(TODAY, Map.of(1, 10_000L)));
    assertThat(new Forecast(TODAY, LONDON).of(10)).isEmpty();
  }
}
