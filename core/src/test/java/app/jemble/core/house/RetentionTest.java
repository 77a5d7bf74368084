package app.jemble.core.house;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.Map;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Worked out by hand; instants by the time zone database that ships with the JDK. */
public class RetentionTest {

  @DataProvider
  public Object[][] nights() {
    return new Object[][] {
      {"2026-11-30T00:14+00:00[Europe/London]", "2026-12-01T03:00+00:00[Europe/London]"},
      {"2026-11-30T07:00+00:00[Europe/London]", "2026-12-01T03:00+00:00[Europe/London]"},
      {"2026-11-30T07:01+00:00[Europe/London]", "2026-12-02T03:00+00:00[Europe/London]"},
      // Clocks go back in that night.
      {"2026-10-24T06:59+01:00[Europe/London]", "2026-10-25T03:00+00:00[Europe/London]"},
      // There is no three o'clock: it is four at once.
      {"2026-03-28T09:00+02:00[Europe/Athens]", "2026-03-30T03:00+03:00[Europe/Athens]"},
    };
  }

  @Test(dataProvider = "nights")
  public void itGoesInTheNightAfterTheNextWorkingDay(String now, String night) {
    assertThat(Retention.nightAfter(ZonedDateTime.parse(now)))
        .isEqualTo(ZonedDateTime.parse(night));
  }

  /** In 600 zones, at any hour. */
  @Test
  public void itIsAlwaysSaidBefore() {
    Random random = new Random(45);
    for (String zone : ZoneId.getAvailableZoneIds()) {
      ZonedDateTime now =
          Instant.ofEpochSecond(1_770_000_000L + random.nextInt(40_000_000))
              .atZone(ZoneId.of(zone));
      Duration ahead = Duration.between(now, Retention.nightAfter(now));
      assertThat(ahead).as("%s", now).isBetween(Retention.SAID_BEFORE, Duration.ofHours(46));
    }
  }

  @Test
  public void whatIsOlderGoesAndTheRestIsKept() {
    Retention rules = new Retention(Map.of(Kept.COPIES, 12, Kept.ARCHIVED, 1));
    ZonedDateTime night = ZonedDateTime.parse("2026-03-31T03:00+01:00[Europe/London]");
    assertThat(rules.before(Kept.COPIES, night)).isEqualTo("2025-03-31T02:00:00Z");
    assertThat(rules.before(Kept.ARCHIVED, night)).isEqualTo("2026-02-28T03:00:00Z");
    assertThat(rules.before(Kept.MAILS, night)).isNull();
    assertThat(rules.isForGood()).isFalse();
    assertThat(new Retention(Map.of()).isForGood()).isTrue();
    assertThatThrownBy(() -> new Retention(Map.of(Kept.COPIES, 0)))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new Retention(Map.of(Kept.COPIES, 601)))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
