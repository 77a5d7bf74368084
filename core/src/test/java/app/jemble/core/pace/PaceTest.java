package app.jemble.core.pace;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class PaceTest {

  /** Changes of 2026 as the IANA time zone database records them. */
  @DataProvider
  public Object[][] walls() {
    return new Object[][] {
      {"2026-03-24T09:00", "Europe/London", "2026-03-24T09:00:00Z"},
      {"2026-03-29T01:30", "Europe/London", "2026-03-29T01:00:00Z"}, // gap 01:00 to 02:00
      {"2026-10-25T01:30", "Europe/London", "2026-10-25T00:30:00Z"}, // overlap: first pass
      {"2026-03-08T02:30", "America/New_York", "2026-03-08T07:00:00Z"}, // gap 02:00 to 03:00
      {"2026-11-01T01:30", "America/New_York", "2026-11-01T05:30:00Z"}, // overlap: first pass
      {"2026-10-04T02:15", "Australia/Lord_Howe", "2026-10-03T15:30:00Z"}, // gap of half an hour
      {"2026-06-01T09:00", "Asia/Kathmandu", "2026-06-01T03:15:00Z"},
    };
  }

  @Test(dataProvider = "walls")
  public void wallClockTimesFollowTheZone(String wall, String zone, String instant) {
    assertThat(WallClock.at(LocalDateTime.parse(wall), ZoneId.of(zone)))
        .isEqualTo(Instant.parse(instant));
  }

  @Test
  public void aMessagePutOffIsTriedAgainForTwoDays() {
    Instant first = Instant.parse("2026-03-24T09:00:00Z");
    Instant at = first;
    int tries = 1;
    Optional<Instant> next = Retry.next(tries, first, at);
    assertThat(next).contains(first.plus(Duration.ofMinutes(1)));
    while (next.isPresent()) {
      assertThat(next.get()).isAfter(at).isBeforeOrEqualTo(first.plus(Duration.ofDays(2)));
      at = next.get();
      next = Retry.next(++tries, first, at);
    }
    assertThat(tries).as("1, 5, 15, 60 minutes, then 4-hourly").isEqualTo(16);
  }
}
