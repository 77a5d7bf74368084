package app.jemble.core.occasion;

import static app.jemble.core.occasion.TurnLook.DUE;
import static app.jemble.core.occasion.TurnLook.EARLY;
import static app.jemble.core.occasion.TurnLook.OVER;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** When a day's word is due on the clock of whom it is said to. */
public class TurnLookTest {

  private static final List<String> ZONES =
      List.of(
          "Europe/London",
          "America/New_York",
          "America/St_Johns",
          "Australia/Lord_Howe",
          "Asia/Kathmandu",
          "Pacific/Apia",
          "Pacific/Kiritimati",
          "Asia/Beirut",
          "America/Sao_Paulo",
          "Africa/Cairo");

  @DataProvider
  public Object[][] looks() {
    return new Object[][] {
      {"2026-11-27T08:59:59Z", "Europe/London", EARLY},
      {"2026-11-27T09:00:00Z", "Europe/London", DUE},
      {"2026-11-27T23:59:59Z", "Europe/London", DUE},
      {"2026-11-28T00:00:00Z", "Europe/London", OVER},
      {"2026-11-26T19:00:00Z", "Pacific/Kiritimati", DUE},
      {"2026-11-28T04:59:59Z", "America/New_York", DUE},
    };
  }

  @Test(dataProvider = "looks")
  public void itIsDueFromItsHourUntilTheDayEndsThere(String now, String zone, TurnLook look) {
    assertThat(
            TurnLook.at(
                Instant.parse(now),
                LocalDate.of(2026, 11, 27),
                LocalTime.of(9, 0),
                ZoneId.of(zone)))
        .isEqualTo(look);
  }

  /** In Cairo the clock went from 24:00 to 01:00 on 26 April 2024 (IANA time zone database). */
  @Test
  public void anHourThatTheClockLeavesOutIsTheFirstAfterIt() {
    LocalDate day = LocalDate.of(2024, 4, 26);
    ZoneId cairo = ZoneId.of("Africa/Cairo");
    LocalTime half = LocalTime.of(0, 30);
    assertThat(TurnLook.at(Instant.parse("2024-04-25T21:59:59Z"), day, half, cairo))
        .isEqualTo(EARLY);
    assertThat(TurnLook.at(Instant.parse("2024-04-25T22:00:00Z"), day, half, cairo)).isEqualTo(DUE);
  }

  /** Against what a clock on the wall shows, minute by minute. */
  @Test
  public void itAgreesWithTheClockOnTheWall() {
    Random random = new Random(20);
    for (String id : ZONES) {
      ZoneId zone = ZoneId.of(id);
      for (int i = 0; i < 2000; i++) {
        LocalDate day = LocalDate.of(2000, 1, 1).plusDays(random.nextInt(12_000));
        LocalTime at = LocalTime.of(random.nextInt(24), random.nextInt(60));
        Instant now =
            day.atStartOfDay(zone).toInstant().plusSeconds(60L * (random.nextInt(4320) - 1440));
        LocalDateTime wall = LocalDateTime.ofInstant(now, zone);
        TurnLook expected =
            wall.toLocalDate().isAfter(day) ? OVER : wall.isBefore(day.atTime(at)) ? EARLY : DUE;
        boolean changes =
            !zone.getRules()
                .getOffset(now.minusSeconds(86_400))
                .equals(zone.getRules().getOffset(now.plusSeconds(86_400)));
        if (!changes) {
          assertThat(TurnLook.at(now, day, at, zone))
              .as("%s %s %s", now, id, at)
              .isEqualTo(expected);
        }
      }
    }
  }
}
