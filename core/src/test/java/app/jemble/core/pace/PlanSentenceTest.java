package app.jemble.core.pace;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jemble.core.pace.WeeklyHours.Window;
import app.jemble.core.record.DayOrder;
import app.jemble.core.record.DayStyle;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** A plan as a sentence, written and read. */
public class PlanSentenceTest {

  private static final ZoneId LONDON = ZoneId.of("Europe/London");
  private static final ZoneId LISBON = ZoneId.of("Europe/Lisbon");
  private static final ZoneId NEW_YORK = ZoneId.of("America/New_York");

  /** A Friday afternoon. */
  private static final LocalDateTime NOW = LocalDateTime.of(2026, 11, 27, 15, 0);

  private static PlanWish read(String text) {
    return PlanSentenceReader.read(text, NOW, DayStyle.of(DayOrder.DAY_FIRST), LONDON);
  }

  private static String said(PlanWish plan) {
    return PlanSentence.of(plan, NOW.toLocalDate(), LONDON);
  }

  @DataProvider
  public Object[][] sentences() {
    return new Object[][] {
      {"", "now, all at once"},
      {"now", "now, all at once"},
      {"at once", "now, all at once"},
      {"tomorrow 9, 200 every 15 min", "Sat 28 Nov 09:00, 200 every 15 minutes"},
      {"200 every 15 min; tomorrow at 9.30", "Sat 28 Nov 09:30, 200 every 15 minutes"},
      {"Mon", "Mon 30 Nov 09:00, all at once"},
      {"16:00", "Fri 27 Nov 16:00, all at once"},
      {"9", "Sat 28 Nov 09:00, all at once"},
      {"9am Mon, 1,000 per hour", "Mon 30 Nov 09:00, 1000 every hour"},
      {"6 Jan 8", "Wed 6 Jan 2027 08:00, all at once"},
      {"Tue 9 their own time", "Tue 1 Dec 09:00 each person’s own time, all at once"},
      {"tomorrow 9 Lisbon time", "Sat 28 Nov 09:00 Lisbon time, all at once"},
      {"6 Dec 9 in new york time", "Sun 6 Dec 09:00 New York time, all at once"},
      {"Mon 9 London time", "Mon 30 Nov 09:00, all at once"},
      {"11 New York time", "Fri 27 Nov 11:00 New York time, all at once"},
      {"waves of 40 every hour, Mon-Fri 9-12", "now, 40 every hour, Mon–Fri 09:00–12:00"},
      {
        "weekdays 9 to 5pm on own clocks",
        "now, all at once, Mon–Fri 09:00–17:00 on each person’s own clock"
      },
      {"Mon Wed 9-12, Sat 10-11", "now, all at once, Mon Wed 09:00–12:00, Sat 10:00–11:00"},
      {"any time", "now, all at once, at any hour"},
      {
        "the usual hours on their own clocks",
        "now, all at once, the usual hours on each person’s own clock"
      },
      {"done by 6 Dec", "now, all at once, done by Sun 6 Dec"},
      {"5 every 2 days, by Friday week", "now, 5 every 2 days, done by Fri 11 Dec"},
    };
  }

  @Test(dataProvider = "sentences")
  public void aPlanIsReadAsItIsTyped(String typed, String said) {
    assertThat(said(read(typed))).isEqualTo(said);
  }

  @DataProvider
  public Object[][] refused() {
    return new Object[][] {
      {"soonish", "“soonish” is not understood. Write as in “tomorrow 9, 200 every 15 min”."},
      {"tomorrow 9, some of them", "“some of them” is not understood"},
      {"tomorrow 9 Atlantis time", "“tomorrow 9 atlantis time” is not understood"},
      {"0 every hour", "A wave has between 1 and 1000000 people."},
      {"9 every 999 days", "Waves are at most 31 days apart."},
      {"by whenever", "“whenever” is no day"},
      {"Mon-Fri 12-9", "Hours of a day begin before they end"},
      {"Mon 9, Tue 9", "“tue 9” is not understood"},
      {"x".repeat(401), "A plan is at most 400 letters."},
    };
  }

  @Test(dataProvider = "refused")
  public void whatIsNotUnderstoodIsNamed(String typed, String sentence) {
    assertThatThrownBy(() -> read(typed))
        .isInstanceOf(PlanException.class)
        .hasMessageContaining(sentence);
  }

  /** Whatever plan there is: what is written of it says the same when it is read. */
  @Test
  public void whatIsWrittenIsReadBack() {
    Random random = new Random(16);
    for (int i = 0; i < 5000; i++) {
      PlanWish plan = random(random);
      assertThat(read(said(plan))).as(said(plan)).isEqualTo(plan);
    }
  }

  private static PlanWish random(Random random) {
    LocalDateTime start =
        random.nextBoolean()
            ? null
            : NOW.toLocalDate()
                .plusDays(random.nextInt(800))
                .atTime(LocalTime.of(random.nextInt(24), random.nextInt(60)));
    boolean own = start != null && random.nextInt(3) == 0;
    List<ZoneId> elsewhere = new ArrayList<>(List.of(LISBON, NEW_YORK));
    elsewhere.add(null);
    ZoneId zone = start == null || own ? null : elsewhere.get(random.nextInt(3));
    Integer wave = random.nextBoolean() ? null : 1 + random.nextInt(5000);
    long gap = wave == null ? PlanWish.USUAL_GAP : 1 + random.nextInt(200_000);
    WeeklyHours hours =
        switch (random.nextInt(3)) {
          case 0 -> null;
          case 1 -> WeeklyHours.ANY;
          default -> hours(random);
        };
    LocalDate by = random.nextBoolean() ? null : NOW.toLocalDate().plusDays(random.nextInt(500));
    return new PlanWish(start, own, zone, wave, gap, hours, random.nextBoolean(), by);
  }

  private static WeeklyHours hours(Random random) {
    List<Window> windows = new ArrayList<>();
    for (DayOfWeek day : DayOfWeek.values()) {
      int from = random.nextInt(3) * 60;
      if (random.nextBoolean()) {
        windows.add(new Window(day, from, from + 60 + random.nextInt(2) * 45));
      }
      if (random.nextInt(4) == 0 || (day == DayOfWeek.SUNDAY && windows.isEmpty())) {
        windows.add(new Window(day, 18 * 60 + 5, 24 * 60));
      }
    }
    return new WeeklyHours(windows);
  }
}
