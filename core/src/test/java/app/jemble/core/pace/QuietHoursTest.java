package app.jemble.core.pace;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Random;
import org.testng.annotations.Test;

/** No phone rings in the quiet hours of its owner's clock. */
public class QuietHoursTest {

  private static final Duration MINUTE = Duration.ofMinutes(1);
  private static final ZoneId LONDON = ZoneId.of("Europe/London");

  private static QuietHours quiet(String from, String to) {
    return new QuietHours(LocalTime.parse(from), LocalTime.parse(to));
  }

  private static Instant at(String instant) {
    return Instant.parse(instant);
  }

  @Test
  public void theNightIsOverAtEight() {
    QuietHours usual = QuietHours.USUAL;
    assertThat(usual.at(at("2026-11-28T20:59:59Z"), LONDON)).isFalse();
    assertThat(usual.at(at("2026-11-28T21:00:00Z"), LONDON)).isTrue();
    assertThat(usual.at(at("2026-11-28T07:59:59Z"), LONDON)).isTrue();
    assertThat(usual.at(at("2026-11-28T08:00:00Z"), LONDON)).isFalse();
    assertThat(usual.over(at("2026-11-28T22:00:00Z"), LONDON)).isEqualTo("2026-11-29T08:00:00Z");
    assertThat(usual.over(at("2026-11-28T12:00:30Z"), LONDON)).isEqualTo("2026-11-28T12:00:30Z");
  }

  @Test
  public void hoursOfOneDayAndNone() {
    QuietHours noon = quiet("12:00", "13:30");
    assertThat(noon.at(at("2026-11-28T12:30:00Z"), LONDON)).isTrue();
    assertThat(noon.over(at("2026-11-28T12:30:00Z"), LONDON)).isEqualTo("2026-11-28T13:30:00Z");
    assertThat(QuietHours.NONE.at(at("2026-11-28T02:00:00Z"), LONDON)).isFalse();
    assertThat(quiet("00:00", "07:00").over(at("2026-11-28T02:00:00Z"), LONDON))
        .isEqualTo("2026-11-28T07:00:00Z");
  }

  /** Forty zones, random nights, instants around the changes of clocks: minute by minute. */
  @Test
  public void theFirstMinuteIsTheOneThatAWallClockShowsFirst() {
    Random random = new Random(20261128);
    List<String> zones = ZoneId.getAvailableZoneIds().stream().sorted().toList();
    for (int i = 0; i < 400; i++) {
      ZoneId zone = ZoneId.of(zones.get((i % 40) * zones.size() / 40));
      QuietHours quiet =
          new QuietHours(
              LocalTime.of(random.nextInt(24), random.nextInt(60)),
              LocalTime.of(random.nextInt(24), random.nextInt(60)));
      Instant change = at(random.nextBoolean() ? "2026-03-29T00:00:00Z" : "2026-10-25T00:00:00Z");
      Instant asked = change.plus(MINUTE.multipliedBy(random.nextInt(4320) - 2160));
      Instant slow = asked;
      while (quiet.at(slow, zone)) {
        slow = slow.plus(MINUTE);
      }
      assertThat(quiet.over(asked, zone)).as("%s in %s", quiet, zone).isEqualTo(slow);
    }
  }
}
